import type { RowDataPacket } from 'mysql2/promise';
import type { LandingSums } from '../../../core/calibration/drift.ts';
import type { Calibration, CalibrationDocument } from '../../../core/records/calibration.ts';
import { readableRows } from '../damaged.ts';
import type { Database } from '../pool.ts';
import { fromStored, toStored } from '../stored.ts';

interface CalibrationRow extends RowDataPacket {
  id: string;
  document: unknown;
  taken_by: string | null;
  taken_at: Date;
}

/** The calibrations of a table, newest first. */
export async function listCalibrations(db: Database, tableId: string): Promise<readonly Calibration[]> {
  const [rows] = await db.execute<CalibrationRow[]>(
    `SELECT c.id, c.document, p.name AS taken_by, c.taken_at
     FROM calibrations c LEFT JOIN people p ON p.id = c.taken_by
     WHERE c.table_id = ? ORDER BY c.taken_at DESC, c.id`,
    [tableId],
  );
  return readableRows('calibrations', rows, (row) => ({
    id: row.id,
    by: row.taken_by,
    at: row.taken_at.toISOString(),
    document: fromStored('calibration', row.document),
  }));
}

/** The table that a calibration is of; undefined where there is none of this id. */
export async function tableOfCalibration(db: Database, id: string): Promise<string | undefined> {
  const [rows] = await db.execute<(RowDataPacket & { table_id: string })[]>(
    'SELECT table_id FROM calibrations WHERE id = ?',
    [id],
  );
  return rows[0]?.table_id;
}

export async function insertCalibration(
  db: Database,
  row: {
    readonly id: string;
    readonly tableId: string;
    readonly document: CalibrationDocument;
    readonly takenBy: string;
    readonly takenAt: Date;
  },
): Promise<void> {
  await db.execute(
    'INSERT INTO calibrations (id, table_id, document, taken_by, taken_at) VALUES (?, ?, ?, ?, ?)',
    [row.id, row.tableId, toStored('calibration', row.document), row.takenBy, row.takenAt],
  );
}

interface SumsRow extends RowDataPacket {
  player_id: string;
  here: number;
  drill_owner: string;
  drill: string;
  revision: number;
  stage: number;
  count: number;
  along: number;
  along_squared: number;
}

/** Landings with one planned stroke, before it is known how long its way is. */
export interface StrokeSums extends Omit<LandingSums, 'way'> {
  readonly drill: string;
  readonly owner: string;
  readonly revision: number;
  readonly stage: number;
}

/** Landings against their plans on tables of a kind since a moment: by player and drill, at one of the tables and at the others. */
export async function landingSums(
  db: Database,
  clubId: string,
  table: { readonly id: string; readonly preset: string },
  since: Date,
): Promise<readonly StrokeSums[]> {
  const [rows] = await db.execute<SumsRow[]>(
    `SELECT r.player_id, r.table_id = ? AS here, r.drill_owner, r.drill, r.revision, r.stage,
       SUM(CAST(JSON_VALUE(r.sums, '$.landings.count') AS DOUBLE)) AS count,
       SUM(CAST(JSON_VALUE(r.sums, '$.landings.along') AS DOUBLE)) AS along,
       SUM(CAST(JSON_VALUE(r.sums, '$.landings.alongSquared') AS DOUBLE)) AS along_squared
     FROM rounds r JOIN tables t ON t.id = r.table_id
     WHERE r.club_id = ? AND r.started_at >= ? AND r.removed_at IS NULL AND r.ended_at IS NOT NULL
       AND r.sums IS NOT NULL AND t.preset = ?
     GROUP BY r.player_id, here, r.drill_owner, r.drill, r.revision, r.stage
     HAVING count > 0`,
    [table.id, clubId, since, table.preset],
  );
  return rows.map((row) => ({
    player: row.player_id,
    isHere: row.here === 1,
    owner: row.drill_owner,
    drill: row.drill,
    revision: row.revision,
    stage: row.stage,
    count: row.count,
    along: row.along,
    alongSquared: row.along_squared,
  }));
}
