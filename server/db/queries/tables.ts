import type { RowDataPacket } from 'mysql2/promise';
import type { ClubTable, TableState } from '../../../core/records/clubTable.ts';
import type { NotedConditions } from '../../../core/records/conditions.ts';
import type { TableLog } from '../../../core/records/tableLog.ts';
import { standardCard, type TableCard } from '../../../core/table/card.ts';
import { readableRows, wholeRow } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';
import { currentConditions, findConditions, listConditions } from './conditions.ts';

interface TableRow extends RowDataPacket {
  id: string;
  name: string;
  preset: ClubTable['preset'];
  revision: number;
  archived_at: Date | null;
  hall_id: string | null;
  card: unknown;
}

interface RevisionRow extends RowDataPacket {
  revision: number;
  card: unknown;
  changed_by: string | null;
  changed_at: Date;
}

const TABLE_SELECT = `SELECT t.id, t.name, t.preset, t.revision, t.archived_at, t.hall_id, c.card
  FROM tables t JOIN table_cards c ON c.table_id = t.id AND c.revision = t.revision`;

function cardOf(column: unknown) {
  return fromStored('card', column);
}

function tableOf(row: TableRow, conditions: NotedConditions | undefined): ClubTable {
  return {
    id: row.id,
    name: row.name,
    preset: row.preset,
    archived: row.archived_at !== null,
    hallId: row.hall_id,
    state: { revision: row.revision, card: cardOf(row.card), conditions: conditions ?? null },
  };
}

export interface NewTable {
  readonly id: string;
  readonly name: string;
  readonly preset: ClubTable['preset'];
  /** What is known of it; by default only its kind. */
  readonly card?: TableCard;
}

/** Adds a table with its first card. To be called inside a transaction. */
export async function insertTable(db: Database, clubId: string, table: NewTable): Promise<void> {
  await db.execute('INSERT INTO tables (id, club_id, name, preset) VALUES (?, ?, ?, ?)', [
    table.id,
    clubId,
    table.name,
    table.preset,
  ]);
  await db.execute('INSERT INTO table_cards (table_id, revision, card) VALUES (?, 1, ?)', [
    table.id,
    toStored('card', table.card ?? standardCard(table.preset)),
  ]);
}

/** The tables of a club with the card and the conditions that hold at `now`, by name. */
export async function listTables(db: Database, clubId: string, now: Date): Promise<ClubTable[]> {
  const [rows] = await db.execute<TableRow[]>(`${TABLE_SELECT} WHERE t.club_id = ? ORDER BY t.name`, [
    clubId,
  ]);
  const conditions = await currentConditions(db, clubId, now);
  return readableRows('tables', rows, (row) => tableOf(row, conditions.get(row.id)));
}

export async function findTable(
  db: Database,
  clubId: string,
  id: string,
  now: Date,
): Promise<ClubTable | undefined> {
  const [rows] = await db.execute<TableRow[]>(`${TABLE_SELECT} WHERE t.club_id = ? AND t.id = ?`, [
    clubId,
    id,
  ]);
  const row = rows[0];
  if (row === undefined) return undefined;
  const conditions = await currentConditions(db, clubId, now);
  return wholeRow('table', () => tableOf(row, conditions.get(id)));
}

/**
 * A table as it was at a revision and under noted conditions; undefined when there is no such state of this club's
 * table.
 */
export async function findTableState(
  db: Database,
  clubId: string,
  tableId: string,
  revision: number,
  conditionsId: string | null,
): Promise<TableState | undefined> {
  const [rows] = await db.execute<RevisionRow[]>(
    `SELECT c.revision, c.card FROM table_cards c JOIN tables t ON t.id = c.table_id
     WHERE t.club_id = ? AND c.table_id = ? AND c.revision = ?`,
    [clubId, tableId, revision],
  );
  const row = rows[0];
  if (row === undefined) return undefined;
  const card = wholeRow('table', () => cardOf(row.card));
  if (conditionsId === null) return { revision, card, conditions: null };
  const conditions = await findConditions(db, tableId, conditionsId);
  return conditions && { revision, card, conditions };
}

export interface TableChangeRow {
  readonly id: string;
  readonly name: string;
  readonly archivedAt: Date | null;
  /** The next card, or null where the card stays. */
  readonly card: TableCard | null;
  readonly basedOn: number;
  readonly changedBy: string;
  readonly changedAt: Date;
}

/** Changes a table unless its card has changed meanwhile. To be called inside a transaction. @returns whether it did */
export async function changeTable(db: Database, change: TableChangeRow): Promise<boolean> {
  const revision = change.card === null ? change.basedOn : change.basedOn + 1;
  const [result] = await db.execute(
    `UPDATE tables SET name = ?, archived_at = ?, revision = ? WHERE id = ? AND revision = ?`,
    [change.name, change.archivedAt, revision, change.id, change.basedOn],
  );
  if (!('affectedRows' in result) || result.affectedRows === 0) return false;
  if (change.card !== null) {
    await db.execute(
      'INSERT INTO table_cards (table_id, revision, card, changed_by, changed_at) VALUES (?, ?, ?, ?, ?)',
      [change.id, revision, toStored('card', change.card), change.changedBy, change.changedAt],
    );
  }
  return true;
}

/** The table's cards and the notes of its conditions, newest first. */
export async function tableLog(db: Database, tableId: string): Promise<TableLog> {
  const [rows] = await db.execute<RevisionRow[]>(
    `SELECT c.revision, c.card, p.name AS changed_by, c.changed_at
     FROM table_cards c LEFT JOIN people p ON p.id = c.changed_by
     WHERE c.table_id = ? ORDER BY c.revision DESC`,
    [tableId],
  );
  const revisions = readableRows('table_cards', rows, (row) => ({
    revision: row.revision,
    card: cardOf(row.card),
    by: row.changed_by,
    at: row.changed_at.toISOString(),
  }));
  return { revisions, conditions: await listConditions(db, tableId) };
}

/** Puts a table into a hall of its club, or into none. @returns false when the club has no such hall */
export async function placeTable(
  db: Database,
  clubId: string,
  id: string,
  hallId: string | null,
): Promise<boolean> {
  if (hallId !== null) {
    const [halls] = await db.execute<RowDataPacket[]>('SELECT id FROM halls WHERE club_id = ? AND id = ?', [
      clubId,
      hallId,
    ]);
    if (halls.length === 0) return false;
  }
  await db.execute('UPDATE tables SET hall_id = ? WHERE club_id = ? AND id = ?', [hallId, clubId, id]);
  return true;
}
