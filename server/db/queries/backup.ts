import type { PoolConnection, RowDataPacket } from 'mysql2/promise';
import {
  BACKUP_TABLES,
  kindOf,
  type BackupRow,
  type BackupTable,
  type BackupValue,
} from '../backupTables.ts';
import { parseJson } from '../json.ts';

/** Rows that are read, or written, at a time. */
const ROWS_AT_A_TIME = 1_000;

/** The club's id for every parameter of a condition. */
const clubFor = (where: string, clubId: string) => [...where.matchAll(/\?/g)].map(() => clubId);

function told(value: unknown, column: string): BackupValue {
  if (value === null || value === undefined) return null;
  const { kind } = kindOf(column);
  if (value instanceof Date) {
    return kind === 'day' ? value.toISOString().slice(0, 10) : value.toISOString();
  }
  if (kind === 'json') {
    const parsed = parseJson(value);
    return typeof parsed === 'object' ? parsed : null;
  }
  return typeof value === 'number' || typeof value === 'string' ? value : null;
}

/** A table's rows of a club, some at a time. */
export async function* readRows(
  db: PoolConnection,
  table: BackupTable,
  clubId: string,
): AsyncGenerator<readonly BackupRow[]> {
  const names = Object.keys(table.columns);
  for (let from = 0; ; from += ROWS_AT_A_TIME) {
    const [rows] = await db.execute<RowDataPacket[]>(
      `SELECT ${names.join(', ')} FROM ${table.name} WHERE ${table.where}
       ORDER BY ${table.order} LIMIT ${String(ROWS_AT_A_TIME)} OFFSET ${String(from)}`,
      clubFor(table.where, clubId),
    );
    const read = rows.map((row) =>
      Object.fromEntries(names.map((name) => [name, told(row[name], table.columns[name] ?? 'text')])),
    );
    if (read.length > 0) yield read;
    if (read.length < ROWS_AT_A_TIME) return;
  }
}

function stored(value: BackupValue, column: string): string | number | Date | null {
  if (value === null) return null;
  const { kind } = kindOf(column);
  if (typeof value === 'object') return JSON.stringify(value);
  return kind === 'instant' ? new Date(value) : value;
}

export async function writeRows(
  db: PoolConnection,
  table: BackupTable,
  rows: readonly BackupRow[],
): Promise<void> {
  const names = Object.keys(table.columns);
  for (let from = 0; from < rows.length; from += ROWS_AT_A_TIME) {
    const some = rows.slice(from, from + ROWS_AT_A_TIME);
    await db.query(`INSERT INTO ${table.name} (${names.join(', ')}) VALUES ?`, [
      some.map((row) => names.map((name) => stored(row[name] ?? null, table.columns[name] ?? 'text'))),
    ]);
  }
}

/** Takes away everything of a club, whatever refers to others first. The texts of the library stay. */
export async function deleteClub(db: PoolConnection, clubId: string): Promise<void> {
  await db.execute('DELETE FROM sessions WHERE person_id IN (SELECT id FROM people WHERE club_id = ?)', [
    clubId,
  ]);
  for (const table of BACKUP_TABLES.toReversed()) {
    const where = table.name === 'drill_revisions' ? 'owner = ?' : table.where;
    await db.execute(`DELETE FROM ${table.name} WHERE ${where}`, clubFor(where, clubId));
  }
  await db.execute('DELETE FROM benchmarks WHERE owner = ?', [clubId]);
  await db.execute('DELETE FROM benchmark_jobs WHERE owner = ?', [clubId]);
  await db.execute('DELETE FROM clubs WHERE id = ?', [clubId]);
}

/** The library's texts that this installation has, in their order. */
export async function libraryRows(db: PoolConnection, table: BackupTable): Promise<readonly BackupRow[]> {
  const names = Object.keys(table.columns);
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT ${names.join(', ')} FROM drill_revisions WHERE owner = 'library' ORDER BY slug, revision`,
  );
  return rows.map((row) =>
    Object.fromEntries(names.map((name) => [name, told(row[name], table.columns[name] ?? 'text')])),
  );
}
