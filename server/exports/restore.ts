import { randomUUID } from 'node:crypto';
import type { Connection } from 'mysql2/promise';
import { groupBy } from '../../core/statistics/groupBy.ts';
import { deleteClub, libraryRows, readRows, writeRows } from '../db/backup/rows.ts';
import { backupTable, BACKUP_TABLES } from '../db/backup/tables.ts';
import type { BackupRow } from '../db/backup/columns.ts';
import { isDuplicate, troubleOf } from '../db/errors.ts';
import type { LongConnection } from '../db/longConnection.ts';
import type { DatabasePool } from '../db/pool.ts';
import { countOtherClubs, insertClub } from '../db/queries/clubs.ts';
import { LIBRARY } from '../db/queries/drills.ts';
import { noteAudit } from '../db/queries/audit.ts';
import { keepersOf, keepKeepers } from '../db/queries/keepers.ts';
import { releaseLease, takeLease } from '../db/queries/leases.ts';
import { Refusal } from '../http/errors.ts';
import { readBackup, type Backup } from './readBackup.ts';

/** Where a backup goes: a club that is here, and who brings it back; nobody when it is done on the server itself. */
export interface RestorePlace {
  readonly clubId: string;
  readonly coachId: string | null;
}

/** A backup may take so long to be written, seconds. */
const WHOLE_S = 900;
const LEASE = 'restore';

const textOf = (row: BackupRow, name: string) => {
  const value = row[name];
  return typeof value === 'string' ? value : '';
};
const numberOf = (row: BackupRow, name: string) => Number(row[name]);

/**
 * The library's texts of a backup find their place among those of this installation: the same text keeps its number here,
 * an older one gets a new number, and after it the text that ships is the newest again.
 * @param alone whether no other club plays by this library; else nothing is added to it
 * @returns what each number of the backup is here
 */
async function placeLibrary(
  db: Connection,
  rows: readonly BackupRow[],
  alone: boolean,
): Promise<(slug: string, revision: number) => number> {
  const table = backupTable('drill_revisions');
  const here = groupBy(await libraryRows(db, table), (row) => textOf(row, 'slug'));
  const numbers = new Map<string, number>();
  for (const [slug, wanted] of groupBy(rows, (row) => textOf(row, 'slug'))) {
    const own = here.get(slug) ?? [];
    const ships = own.at(-1);
    let last = numberOf(ships ?? {}, 'revision') || 0;
    const placed: BackupRow[] = [];
    for (const row of wanted) {
      const known = own.find((each) => each['digest'] === row['digest']);
      if (known === undefined && !alone) {
        throw new Refusal(
          409,
          `the backup was played by a text of ${slug} that is not in this library: bring it back where no other club is`,
        );
      }
      if (known === undefined) placed.push({ ...row, revision: ++last, written_by: null });
      const number = known === undefined ? last : numberOf(known, 'revision');
      numbers.set(`${slug}|${String(numberOf(row, 'revision'))}`, number);
    }
    if (placed.length > 0 && ships !== undefined) placed.push({ ...ships, revision: ++last });
    await writeRows(db, table, placed);
  }
  return (slug, revision) => numbers.get(`${slug}|${String(revision)}`) ?? revision;
}

/** The coach who brings a backup back stays one of the club, if the backup does not know them. */
async function coachWho(
  db: LongConnection,
  { clubId, coachId }: RestorePlace,
): Promise<readonly BackupRow[]> {
  const coach: BackupRow[] = [];
  for await (const rows of readRows(db, backupTable('people'), clubId)) {
    coach.push(...rows.filter((row) => row['id'] === coachId));
  }
  return coach;
}

async function replaceClub(connection: LongConnection, place: RestorePlace, backup: Backup): Promise<void> {
  const { club, rowsOf } = backup;
  const { db } = connection;
  const coach = await coachWho(connection, place);
  const keepers = await keepersOf(db, place.clubId);
  const alone = (await countOtherClubs(db, [place.clubId, club.id])) === 0;
  await deleteClub(db, place.clubId);
  await insertClub(db, club.id, club.name, Date.now());
  const texts = rowsOf('drill_revisions');
  const numberHere = await placeLibrary(
    db,
    texts.filter((row) => row['owner'] === LIBRARY),
    alone,
  );
  const placed = (rows: readonly BackupRow[], owner: string) =>
    rows.map((row) =>
      row[owner] === LIBRARY
        ? { ...row, revision: numberHere(textOf(row, 'drill'), numberOf(row, 'revision')) }
        : row,
    );
  const people = rowsOf('people');
  const known = new Set(people.flatMap((row) => [row['id'], row['email']]));
  const stays = coach.filter((row) => !known.has(row['id'] ?? '') && !known.has(row['email'] ?? ''));
  /** Rows that are not written as they stand in the file. */
  const changed: Readonly<Record<string, readonly BackupRow[]>> = {
    people: [...people, ...stays.map((row) => ({ ...row, club_id: club.id }))],
    drill_revisions: texts.filter((row) => row['owner'] !== LIBRARY),
    rounds: placed(rowsOf('rounds'), 'drill_owner'),
    // What a file says of the library's drills is not believed for other clubs: theirs are computed here.
    benchmarks: placed(rowsOf('benchmarks'), 'owner').filter((row) => alone || row['owner'] !== LIBRARY),
  };
  for (const table of BACKUP_TABLES) {
    const rows = changed[table.name] ?? rowsOf(table.name);
    await writeRows(db, table, rows, table.name === 'benchmarks' ? 'keep' : 'refuse');
  }
  await keepKeepers(db, keepers);
  if (place.coachId !== null) {
    await noteAudit(db, {
      clubId: club.id,
      personId: place.coachId,
      at: new Date(),
      action: 'backup restored',
      subject: 'club',
      subjectId: club.id,
    });
  }
}

/** What the database has against a backup that says nothing wrong by itself. */
function refusalOf(error: unknown): unknown {
  if (isDuplicate(error)) {
    return new Refusal(409, 'the backup has something that another club here has: a sign-in, or an id');
  }
  switch (troubleOf(error)) {
    case 'reference':
      return new Refusal(400, 'tables: a row refers to something that is not in the backup', 'tables');
    case 'value':
      return new Refusal(400, 'tables: a value does not fit', 'tables');
    case 'conflict':
    case 'busy':
      return new Refusal(409, 'somebody was using the club: nothing was changed. Try again in a moment');
    default:
      return error;
  }
}

/**
 * Puts a backup in the place of a club, in one transaction on a connection of its own: everything of the club goes,
 * everything of the backup comes. Servers forget what they remembered of it, for the club has another epoch.
 * @param file the backup's text
 * @throws Refusal for a damaged backup, one that belongs to another club here, or while another one is brought back
 */
export async function restoreBackup(pool: DatabasePool, place: RestorePlace, file: string): Promise<void> {
  const backup = readBackup(file);
  const holder = randomUUID();
  if (!(await takeLease(pool, LEASE, holder, WHOLE_S))) {
    throw new Refusal(429, 'another backup is being brought back: try again when it is there');
  }
  const connection = await pool.openConnection(WHOLE_S);
  try {
    await connection.db.beginTransaction();
    await replaceClub(connection, place, backup);
    await connection.db.commit();
  } catch (error) {
    throw refusalOf(error);
  } finally {
    // What was not committed is rolled back with the connection.
    connection.destroy();
    await releaseLease(pool, LEASE, holder).catch(() => undefined);
  }
}
