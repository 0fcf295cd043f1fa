import type { RowDataPacket } from 'mysql2/promise';
import type { ClubRules } from '../../../core/records/clubRules.ts';
import type { Database } from '../pool.ts';
import { toStored } from '../stored.ts';

interface CountRow extends RowDataPacket {
  clubs: number;
}

export async function countClubs(db: Database): Promise<number> {
  const [rows] = await db.execute<CountRow[]>('SELECT COUNT(*) AS clubs FROM clubs');
  return rows[0]?.clubs ?? 0;
}

/** @param epoch another one than the club had before, when it was brought back */
export async function insertClub(db: Database, id: string, name: string, epoch = 0): Promise<void> {
  await db.execute('INSERT INTO clubs (id, name, epoch) VALUES (?, ?, ?)', [id, name, epoch]);
}

/** How many clubs there are besides some. */
export async function countOtherClubs(db: Database, ids: readonly string[]): Promise<number> {
  const [rows] = await db.execute<CountRow[]>(
    `SELECT COUNT(*) AS clubs FROM clubs WHERE id NOT IN (${ids.map(() => '?').join(', ')})`,
    [...ids],
  );
  return rows[0]?.clubs ?? 0;
}

/**
 * Claims a new installation for its first club, inside the transaction that makes it.
 * @throws the driver's duplicate error when it is claimed already; it waits for a claim that is being made
 */
export async function claimInstallation(db: Database): Promise<void> {
  await db.execute('INSERT INTO installation (id) VALUES (1)');
}

interface ClubRow extends RowDataPacket {
  id: string;
  name: string;
}

/** All clubs of the installation. */
export async function listClubs(
  db: Database,
): Promise<readonly { readonly id: string; readonly name: string }[]> {
  const [rows] = await db.execute<ClubRow[]>('SELECT id, name FROM clubs ORDER BY created_at, id');
  return rows.map(({ id, name }) => ({ id, name }));
}

export async function renameClub(db: Database, id: string, name: string): Promise<void> {
  await db.execute('UPDATE clubs SET name = ? WHERE id = ?', [name, id]);
}

/** What a club settles, in the place of what it had settled before. */
export async function storeClubRules(db: Database, clubId: string, rules: ClubRules): Promise<void> {
  await db.execute(
    'INSERT INTO club_rules (club_id, document) VALUES (?, ?) ON DUPLICATE KEY UPDATE document = VALUES(document)',
    [clubId, toStored('clubRules', rules)],
  );
}

/** All clubs of the installation with those who coach there, as far as they have not left. */
export async function listClubsWithCoaches(
  db: Database,
): Promise<readonly { readonly id: string; readonly name: string; readonly coaches: readonly string[] }[]> {
  const clubs = await listClubs(db);
  const [rows] = await db.execute<(RowDataPacket & { club_id: string; name: string })[]>(
    `SELECT club_id, name FROM people WHERE role = 'coach' AND archived_at IS NULL ORDER BY name`,
  );
  return clubs.map((club) => ({
    ...club,
    coaches: rows.filter((row) => row.club_id === club.id).map(({ name }) => name),
  }));
}
