import type { Pool, PoolConnection } from 'mysql2/promise';
import type { InferType } from 'yup';
import { groupBy } from '../../core/statistics/groupBy.ts';
import { deleteClub, libraryRows, readRows, writeRows } from '../db/queries/backup.ts';
import { countClubs, insertClub } from '../db/queries/clubs.ts';
import { LIBRARY } from '../db/queries/drills.ts';
import { inTransaction } from '../db/pool.ts';
import { Refusal } from '../http/errors.ts';
import { BACKUP_FORMAT, BACKUP_VERSION, type backupSchema } from './backupSchema.ts';
import { BACKUP_TABLES, REFERENCES, type BackupRow, type BackupTable } from '../db/backupTables.ts';

export type Backup = InferType<typeof backupSchema>;

/**
 * A backup of a club as JSON text, piece by piece, as everything stood at one moment.
 * @param write takes a piece of the text
 */
export async function writeBackup(
  pool: Pool,
  club: { readonly id: string; readonly name: string },
  madeAt: Date,
  write: (text: string) => Promise<unknown>,
): Promise<void> {
  const connection = await pool.getConnection();
  try {
    await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
    const head = { format: BACKUP_FORMAT, version: BACKUP_VERSION, madeAt: madeAt.toISOString(), club };
    await write(`${JSON.stringify(head).slice(0, -1)},"tables":{`);
    for (const [i, table] of BACKUP_TABLES.entries()) {
      await write(`${i === 0 ? '' : ','}\n"${table.name}":[`);
      let first = true;
      for await (const rows of readRows(connection, table, club.id)) {
        await write(`${first ? '' : ','}\n${rows.map((row) => JSON.stringify(row)).join(',\n')}`);
        first = false;
      }
      await write(']');
    }
    await write('}}\n');
    await connection.commit();
  } finally {
    connection.release();
  }
}

/** The schema has looked at every field of every row. */
const isRows = (rows: unknown): rows is readonly BackupRow[] => Array.isArray(rows);

const textOf = (row: BackupRow, name: string) => {
  const value = row[name];
  return typeof value === 'string' ? value : '';
};
const numberOf = (row: BackupRow, name: string) => Number(row[name]);

/** Every row is of the club, and refers to rows of the same backup alone. @throws Refusal naming the field */
function requireOwn(backup: Backup, rowsOf: (name: string) => readonly BackupRow[]): void {
  const ids = new Map(BACKUP_TABLES.map(({ name }) => [name, new Set(rowsOf(name).map((row) => row['id']))]));
  for (const { name } of BACKUP_TABLES) {
    for (const [i, row] of rowsOf(name).entries()) {
      for (const [column, value] of Object.entries(row)) {
        const wanted = REFERENCES[column];
        const foreign =
          (column === 'club_id' && value !== backup.club.id) ||
          (column === 'owner' && value !== backup.club.id && value !== LIBRARY) ||
          (wanted !== undefined && value !== null && ids.get(wanted)?.has(value) !== true);
        if (!foreign) continue;
        const field = `tables.${name}[${String(i)}].${column}`;
        throw new Refusal(400, `${field} refers to something that is not in the backup`, field);
      }
    }
  }
}

/**
 * The library's texts of a backup find their place among those of this installation: the same text keeps its number here,
 * an older one gets a new number, and after it the text that ships is the newest again.
 * @returns what each number of the backup is here
 */
async function placeLibrary(
  db: PoolConnection,
  table: BackupTable,
  rows: readonly BackupRow[],
): Promise<(slug: string, revision: number) => number> {
  const here = groupBy(await libraryRows(db, table), (row) => textOf(row, 'slug'));
  const numbers = new Map<string, number>();
  for (const [slug, wanted] of groupBy(rows, (row) => textOf(row, 'slug'))) {
    const own = here.get(slug) ?? [];
    const ships = own.at(-1);
    let last = numberOf(ships ?? {}, 'revision') || 0;
    const placed: BackupRow[] = [];
    for (const row of wanted) {
      const known = own.find((each) => each['digest'] === row['digest']);
      if (known === undefined) placed.push({ ...row, revision: ++last, written_by: null });
      const number = known === undefined ? last : numberOf(known, 'revision');
      numbers.set(`${slug}|${String(numberOf(row, 'revision'))}`, number);
    }
    if (placed.length > 0 && ships !== undefined) placed.push({ ...ships, revision: ++last });
    await writeRows(db, table, placed);
  }
  return (slug, revision) => numbers.get(`${slug}|${String(revision)}`) ?? revision;
}

/** The table of a backup by its name. */
function tableOf(name: string): BackupTable {
  const table = BACKUP_TABLES.find((each) => each.name === name);
  if (table === undefined) throw new Error(`tableOf: a backup has no table ${name}`);
  return table;
}

/**
 * Puts a backup in the place of a club, in one transaction: everything of the club goes, everything of the backup comes.
 * The coach who does it stays a coach, if the backup does not know them.
 * @throws Refusal when the backup refers to what is not in it, or would change what other clubs here have
 */
export async function restoreBackup(
  pool: Pool,
  place: { readonly clubId: string; readonly coachId: string },
  backup: Backup,
): Promise<void> {
  const tables: Readonly<Record<string, unknown>> = backup.tables;
  const rowsOf = (name: string): readonly BackupRow[] => {
    const rows = tables[name];
    return isRows(rows) ? rows : [];
  };
  requireOwn(backup, rowsOf);
  await inTransaction(pool, async (db) => {
    const coach: BackupRow[] = [];
    for await (const rows of readRows(db, tableOf('people'), place.clubId)) {
      coach.push(...rows.filter((row) => row['id'] === place.coachId));
    }
    await deleteClub(db, place.clubId);
    if ((await countClubs(db)) > 0) {
      throw new Refusal(409, 'a backup is brought back where no other club is', 'club');
    }
    await insertClub(db, backup.club.id, backup.club.name);
    const texts = rowsOf('drill_revisions');
    const ofLibrary = texts.filter((row) => row['owner'] === LIBRARY);
    const numberHere = await placeLibrary(db, tableOf('drill_revisions'), ofLibrary);
    const people = rowsOf('people');
    const known = new Set(people.flatMap((row) => [row['id'], row['email']]));
    const stays = coach.filter((row) => !known.has(row['id'] ?? '') && !known.has(row['email'] ?? ''));
    /** Rows that are not written as they stand in the file. */
    const changed: Readonly<Record<string, readonly BackupRow[]>> = {
      people: [...people, ...stays.map((row) => ({ ...row, club_id: backup.club.id }))],
      drill_revisions: texts.filter((row) => row['owner'] !== LIBRARY),
      rounds: rowsOf('rounds').map((row) =>
        row['drill_owner'] === LIBRARY
          ? { ...row, revision: numberHere(textOf(row, 'drill'), numberOf(row, 'revision')) }
          : row,
      ),
    };
    for (const table of BACKUP_TABLES) await writeRows(db, table, changed[table.name] ?? rowsOf(table.name));
  });
}
