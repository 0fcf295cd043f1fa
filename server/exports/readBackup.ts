import { number, object, string, ValidationError, type InferType } from 'yup';
import { instant, text, uuid } from '../../core/records/fields.ts';
import { problemOf, type BackupRow, type BackupTable } from '../db/backup/columns.ts';
import { BACKUP_TABLES } from '../db/backup/tables.ts';
import { LIBRARY } from '../db/queries/drills.ts';
import { refusalOf, parseForeign } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { BACKUP_FORMAT, BACKUP_VERSION, BackupDigest } from './backup.ts';

const headSchema = object({
  format: string()
    .strict()
    .required('format is missing')
    .oneOf([BACKUP_FORMAT], 'format: this is no backup of a club'),
  version: number()
    .strict()
    .required('version is missing')
    .oneOf([1, BACKUP_VERSION], 'version: this backup was made by a newer version'),
  madeAt: instant(),
  club: object({ id: uuid(), name: text(80) }).required('club is missing'),
});

/** A backup of which every value has been looked at. */
export interface Backup extends InferType<typeof headSchema> {
  readonly rowsOf: (table: string) => readonly BackupRow[];
}

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const refuse = (field: string, what: string) => new Refusal(400, `${field} ${what}`, field);

/**
 * A backup from the text of its file. One of the first version has no digest, and lacks what came later.
 * @throws Refusal 400 for a damaged or changed one, naming what is wrong and where
 */
export function readBackup(file: string): Backup {
  const value = parseForeign(file);
  if (!isFields(value)) throw refuse('body', 'is no backup');
  const { tables, digest, ...rest } = value;
  const head = headOf(rest);
  if (!isFields(tables)) throw refuse('tables', 'is missing');
  const names = BACKUP_TABLES.map(({ name }) => name);
  for (const name of Object.keys(tables)) {
    if (!names.includes(name)) throw refuse(`tables.${name}`, 'is not a table of a backup');
  }
  const first = head.version === 1;
  // What came later is no part of what the digest of an older file was counted over.
  const there = BACKUP_TABLES.filter(({ name, isLater }) => isLater !== true || tables[name] !== undefined);
  const lists = new Map(there.map((table) => [table.name, listOf(table, tables[table.name], first)]));
  if (!first && digestOf(head, lists) !== digest) {
    throw refuse('digest', 'does not fit what the file says: it is damaged, or was changed by hand');
  }
  const rows = new Map(
    BACKUP_TABLES.map((table) => [table.name, rowsOf(table, lists.get(table.name) ?? [], first)]),
  );
  const backup = { ...head, rowsOf: (table: string) => rows.get(table) ?? [] };
  for (const table of BACKUP_TABLES) requireWhole(backup, table);
  return backup;
}

function headOf(rest: Fields): InferType<typeof headSchema> {
  try {
    return headSchema.exact('${properties} is not a field of a backup').validateSync(rest);
  } catch (error) {
    throw error instanceof ValidationError ? refusalOf(error) : error;
  }
}

function listOf(table: BackupTable, value: unknown, first: boolean): readonly unknown[] {
  if (value === undefined && first) return [];
  if (!Array.isArray(value)) throw refuse(`tables.${table.name}`, 'is missing');
  return value;
}

function digestOf(
  head: InferType<typeof headSchema>,
  lists: ReadonlyMap<string, readonly unknown[]>,
): string {
  const digest = new BackupDigest();
  digest.head(head);
  for (const [name, rows] of lists) {
    digest.table(name);
    for (const row of rows) digest.row(JSON.stringify(row));
  }
  return digest.value();
}

/** The rows of a table, each of its values looked at. */
function rowsOf(table: BackupTable, list: readonly unknown[], first: boolean): readonly BackupRow[] {
  const names = Object.keys(table.columns);
  return list.map((row, i) => {
    const here = `tables.${table.name}[${String(i)}]`;
    if (!isFields(row)) throw refuse(here, 'is no row');
    const whole: Fields = first ? { ...table.added, ...row } : row;
    for (const name of Object.keys(whole)) {
      if (!names.includes(name)) throw refuse(`${here}.${name}`, 'is not a column of this table');
    }
    for (const name of names) {
      const problem = problemOf(table, name, whole[name]);
      if (problem !== undefined) throw refuse(`${here}.${name}`, problem.replace(/^this /, ''));
    }
    // Every column has been looked at: each holds a text, a number, a document or nothing.
    return whole as BackupRow;
  });
}

const keyOf = (row: BackupRow, columns: readonly string[]) =>
  columns.map((name) => JSON.stringify(row[name])).join('|');

/** Every row is there once, is of the club, and refers to rows of the same backup. */
function requireWhole(backup: Backup, table: BackupTable): void {
  const rows = backup.rowsOf(table.name);
  for (const columns of [table.key, ...(table.unique ?? [])]) requireOnce(table, rows, columns);
  for (const [i, row] of rows.entries()) {
    const here = `tables.${table.name}[${String(i)}]`;
    const { club_id: clubId, owner } = row;
    if (clubId !== undefined && clubId !== backup.club.id) throw refuse(`${here}.club_id`, 'is another club');
    if (owner !== undefined && owner !== backup.club.id && owner !== LIBRARY) {
      throw refuse(`${here}.owner`, 'is another club');
    }
  }
  for (const { columns, table: wanted, to } of table.references ?? []) {
    const there = new Set(backup.rowsOf(wanted).map((row) => keyOf(row, to)));
    for (const [i, row] of rows.entries()) {
      if (columns.some((name) => row[name] === null)) continue;
      if (there.has(keyOf(row, columns))) continue;
      const field = `tables.${table.name}[${String(i)}].${columns.at(-1) ?? ''}`;
      throw refuse(field, `refers to something that is not in tables.${wanted}`);
    }
  }
}

function requireOnce(table: BackupTable, rows: readonly BackupRow[], columns: readonly string[]): void {
  const seen = new Set<string>();
  for (const [i, row] of rows.entries()) {
    if (columns.some((name) => row[name] === null)) continue;
    const key = keyOf(row, columns);
    if (seen.has(key)) {
      const field = `tables.${table.name}[${String(i)}].${columns.at(-1) ?? ''}`;
      throw refuse(field, 'is there twice');
    }
    seen.add(key);
  }
}
