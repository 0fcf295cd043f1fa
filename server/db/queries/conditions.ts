import type { RowDataPacket } from 'mysql2/promise';
import { CONDITIONS_HOLD_MS, type NotedConditions } from '../../../core/records/conditions.ts';
import type { Conditions } from '../../../core/table/cardChoices.ts';
import { readable, readableRows, wholeRow } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

interface ConditionsRow extends RowDataPacket {
  id: string;
  table_id: string;
  document: unknown;
  note: string;
  noted_by: string;
  noted_at: Date;
  withdrawn_at: Date | null;
}

const SELECT = `SELECT n.id, n.table_id, n.document, n.note, p.name AS noted_by, n.noted_at, n.withdrawn_at
  FROM table_conditions n JOIN people p ON p.id = n.noted_by`;

function notedOf(row: ConditionsRow): NotedConditions {
  return {
    id: row.id,
    conditions: fromStored('conditions', row.document),
    note: row.note,
    by: row.noted_by,
    notedAt: row.noted_at.toISOString(),
    holdsUntil: new Date(row.noted_at.getTime() + CONDITIONS_HOLD_MS).toISOString(),
    withdrawn: row.withdrawn_at !== null,
  };
}

export interface NewConditionsRow {
  readonly id: string;
  readonly tableId: string;
  readonly conditions: Conditions;
  readonly note: string;
  readonly notedBy: string;
  readonly notedAt: Date;
}

/** Notes conditions; the same note sent again stays one, and a withdrawn one is brought back. */
export async function noteConditions(db: Database, row: NewConditionsRow): Promise<void> {
  await db.execute(
    `INSERT INTO table_conditions (id, table_id, document, note, noted_by, noted_at) VALUES (?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE withdrawn_at = NULL`,
    [row.id, row.tableId, toStored('conditions', row.conditions), row.note, row.notedBy, row.notedAt],
  );
}

export async function withdrawConditions(db: Database, tableId: string, id: string, at: Date): Promise<void> {
  await db.execute('UPDATE table_conditions SET withdrawn_at = ? WHERE id = ? AND table_id = ?', [
    at,
    id,
    tableId,
  ]);
}

export async function findConditions(
  db: Database,
  tableId: string,
  id: string,
): Promise<NotedConditions | undefined> {
  const [rows] = await db.execute<ConditionsRow[]>(`${SELECT} WHERE n.id = ? AND n.table_id = ?`, [
    id,
    tableId,
  ]);
  const row = rows[0];
  return row && wholeRow('note of conditions', () => notedOf(row));
}

/** The table on which a note was made, whichever club it is of. */
export async function tableOfConditions(db: Database, id: string): Promise<string | undefined> {
  const [rows] = await db.execute<ConditionsRow[]>('SELECT table_id FROM table_conditions WHERE id = ?', [
    id,
  ]);
  return rows[0]?.table_id;
}

/** All notes on a table, newest first. */
export async function listConditions(db: Database, tableId: string): Promise<NotedConditions[]> {
  const [rows] = await db.execute<ConditionsRow[]>(
    `${SELECT} WHERE n.table_id = ? ORDER BY n.noted_at DESC, n.recorded_at DESC LIMIT 200`,
    [tableId],
  );
  return readableRows('table_conditions', rows, notedOf);
}

/** What holds at a time on each table of a club: its newest note that still holds and was not withdrawn. */
export async function currentConditions(
  db: Database,
  clubId: string,
  now: Date,
): Promise<ReadonlyMap<string, NotedConditions>> {
  const [rows] = await db.execute<ConditionsRow[]>(
    `${SELECT} JOIN tables t ON t.id = n.table_id
     WHERE t.club_id = ? AND n.withdrawn_at IS NULL AND n.noted_at <= ? AND n.noted_at > ?
     ORDER BY n.noted_at, n.recorded_at`,
    [clubId, now, new Date(now.getTime() - CONDITIONS_HOLD_MS)],
  );
  const newest = new Map<string, NotedConditions>();
  for (const row of rows) {
    const noted = readable('table_conditions', row.id, () => notedOf(row));
    if (noted !== undefined) newest.set(row.table_id, noted);
  }
  return newest;
}
