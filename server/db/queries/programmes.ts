import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { Programme, ProgrammeDocument } from '../../../core/records/programme.ts';
import { readableRows, wholeFirst } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

interface ProgrammeRow extends RowDataPacket {
  id: string;
  version: number;
  player_id: string;
  player: string;
  archived_at: Date | null;
  document: unknown;
}

interface TickRow extends RowDataPacket {
  programme_id: string;
  item_id: string;
  ticked_at: Date;
}

const SELECT = `SELECT g.id, g.version, g.player_id, p.name AS player, g.archived_at, g.document
  FROM programmes g JOIN people p ON p.id = g.player_id`;

async function withTicks(db: Database, rows: readonly ProgrammeRow[]): Promise<Programme[]> {
  if (rows.length === 0) return [];
  const [ticks] = await db.execute<TickRow[]>(
    `SELECT programme_id, item_id, ticked_at FROM programme_ticks
     WHERE programme_id IN (${rows.map(() => '?').join(', ')}) ORDER BY ticked_at`,
    rows.map(({ id }) => id),
  );
  return readableRows('programmes', rows, (row) => ({
    id: row.id,
    version: row.version,
    player: { id: row.player_id, name: row.player },
    archived: row.archived_at !== null,
    document: fromStored('programme', row.document),
    ticks: ticks
      .filter((tick) => tick.programme_id === row.id)
      .map((tick) => ({ item: tick.item_id, at: tick.ticked_at.toISOString() })),
  }));
}

export async function findProgramme(
  db: Database,
  clubId: string,
  id: string,
): Promise<Programme | undefined> {
  const [rows] = await db.execute<ProgrammeRow[]>(`${SELECT} WHERE g.club_id = ? AND g.id = ?`, [clubId, id]);
  return wholeFirst('programme', rows, await withTicks(db, rows));
}

/** Holds a programme until the transaction ends: nobody else changes it meanwhile. */
export async function lockProgramme(db: Database, id: string): Promise<void> {
  await db.execute('SELECT id FROM programmes WHERE id = ? FOR UPDATE', [id]);
}

/** The programmes of a club, or of one of its players, the one changed last first. */
export async function listProgrammes(
  db: Database,
  clubId: string,
  playerId: string | undefined,
): Promise<Programme[]> {
  const [rows] = await db.execute<ProgrammeRow[]>(
    `${SELECT} WHERE g.club_id = ? AND (? IS NULL OR g.player_id = ?) ORDER BY g.changed_at DESC, g.id LIMIT 300`,
    [clubId, playerId ?? null, playerId ?? null],
  );
  return withTicks(db, rows);
}

/** Stores a programme; one of the same id that is already there stays. */
export async function insertProgramme(
  db: Database,
  programme: { readonly id: string; readonly clubId: string; readonly document: ProgrammeDocument },
): Promise<void> {
  const { id, clubId, document } = programme;
  await db.execute(
    'INSERT INTO programmes (id, club_id, player_id, version, document) VALUES (?, ?, ?, 1, ?) ON DUPLICATE KEY UPDATE id = id',
    [id, clubId, document.playerId, toStored('programme', document)],
  );
}

/** Stores a new version, if it was written on the newest one. */
export async function updateProgramme(
  db: Database,
  id: string,
  basedOn: number,
  document: ProgrammeDocument,
): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE programmes SET version = version + 1, document = ?, changed_at = CURRENT_TIMESTAMP(3)
     WHERE id = ? AND version = ?`,
    [toStored('programme', document), id, basedOn],
  );
  return result.affectedRows > 0;
}

/** Puts a programme away, or brings it back. */
export async function archiveProgramme(db: Database, id: string, archivedAt: Date | null): Promise<void> {
  await db.execute('UPDATE programmes SET archived_at = ? WHERE id = ?', [archivedAt, id]);
}

/** Ticks an entry off, or takes the tick back. */
export async function tickItem(db: Database, id: string, item: string, at: Date | null): Promise<void> {
  await (at === null
    ? db.execute('DELETE FROM programme_ticks WHERE programme_id = ? AND item_id = ?', [id, item])
    : db.execute(
        'INSERT INTO programme_ticks (programme_id, item_id, ticked_at) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE item_id = item_id',
        [id, item, at],
      ));
}
