import type { Connection, RowDataPacket } from 'mysql2/promise';
import { parseJson } from '../json.ts';
import type { LongConnection } from '../longConnection.ts';
import type { Database } from '../pool.ts';
import { kindOf, type BackupRow, type BackupTable, type BackupValue, type Column } from './columns.ts';
import { BACKUP_TABLES } from './tables.ts';

/** Rows that are read, or written, at a time. */
const ROWS_AT_A_TIME = 500;

/** The club's id for every parameter of a condition. */
const clubFor = (where: string, clubId: string) => [...where.matchAll(/\?/g)].map(() => clubId);

function told(value: unknown, column: Column): BackupValue {
  if (value === null || value === undefined) return null;
  const { kind } = kindOf(column);
  if (value instanceof Date) return kind === 'day' ? value.toISOString().slice(0, 10) : value.toISOString();
  if (kind === 'json') {
    const parsed = parseJson(value);
    return typeof parsed === 'object' ? parsed : null;
  }
  return typeof value === 'number' || typeof value === 'string' ? value : null;
}

function rowOf(table: BackupTable, row: RowDataPacket): BackupRow {
  return Object.fromEntries(
    Object.entries(table.columns).map(([name, column]) => [name, told(row[name], column)]),
  );
}

const namesOf = (table: BackupTable) => Object.keys(table.columns).map((name) => `x.${name}`);

/** A table's rows of a club, some at a time, as they come from the database: none of them is kept. */
export async function* readRows(
  connection: LongConnection,
  table: BackupTable,
  clubId: string,
): AsyncGenerator<readonly BackupRow[]> {
  const order = table.key.map((name) => `x.${name}`).join(', ');
  const found = connection.rows(
    `SELECT ${namesOf(table).join(', ')} FROM ${table.name} x ${table.join ?? ''} WHERE ${table.where} ORDER BY ${order}`,
    clubFor(table.where, clubId),
  );
  let some: BackupRow[] = [];
  for await (const row of found) {
    some.push(rowOf(table, row));
    if (some.length < ROWS_AT_A_TIME) continue;
    yield some;
    some = [];
  }
  if (some.length > 0) yield some;
}

function stored(value: BackupValue, column: Column): string | number | Date | null {
  if (value === null) return null;
  if (typeof value === 'object') return JSON.stringify(value);
  return kindOf(column).kind === 'instant' ? new Date(value) : value;
}

/** @param known what to do with a row that is there already; an error when left out */
export async function writeRows(
  db: Connection,
  table: BackupTable,
  rows: readonly BackupRow[],
  known: 'refuse' | 'keep' = 'refuse',
): Promise<void> {
  const names = Object.keys(table.columns);
  const first = table.key[0] ?? '';
  const otherwise = known === 'keep' ? ` ON DUPLICATE KEY UPDATE ${first} = VALUES(${first})` : '';
  for (let from = 0; from < rows.length; from += ROWS_AT_A_TIME) {
    const some = rows.slice(from, from + ROWS_AT_A_TIME);
    await db.query(`INSERT INTO ${table.name} (${names.join(', ')}) VALUES ?${otherwise}`, [
      some.map((row) => names.map((name) => stored(row[name] ?? null, table.columns[name] ?? 'text'))),
    ]);
  }
}

/** Tables of which a club has no rows to itself but its own texts. */
const SHARED: readonly string[] = ['drill_revisions', 'benchmarks'];

/** Takes away everything of a club, whatever refers to others first. What belongs to the library stays. */
export async function deleteClub(db: Database, clubId: string): Promise<void> {
  await db.execute('DELETE s FROM sessions s JOIN people p ON p.id = s.person_id WHERE p.club_id = ?', [
    clubId,
  ]);
  for (const table of BACKUP_TABLES.toReversed()) {
    const { join = '', where } = SHARED.includes(table.name) ? { where: 'x.owner = ?' } : table;
    await db.execute(`DELETE x FROM ${table.name} x ${join} WHERE ${where}`, clubFor(where, clubId));
  }
  await db.execute('DELETE FROM benchmark_askers WHERE club_id = ?', [clubId]);
  await db.execute('DELETE FROM benchmark_jobs WHERE owner = ?', [clubId]);
  await db.execute('DELETE FROM clubs WHERE id = ?', [clubId]);
}

/** The library's texts that this installation has, in their order. */
export async function libraryRows(db: Database, table: BackupTable): Promise<readonly BackupRow[]> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ${namesOf(table).join(', ')} FROM drill_revisions x WHERE x.owner = 'library' ORDER BY x.slug, x.revision`,
  );
  return rows.map((row) => rowOf(table, row));
}
