import type { RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';

interface CountRow extends RowDataPacket {
  clubs: number;
}

export async function countClubs(db: Database): Promise<number> {
  const [rows] = await db.execute<CountRow[]>('SELECT COUNT(*) AS clubs FROM clubs');
  return rows[0]?.clubs ?? 0;
}

export async function insertClub(db: Database, id: string, name: string): Promise<void> {
  await db.execute('INSERT INTO clubs (id, name) VALUES (?, ?)', [id, name]);
}

/**
 * Claims a new installation for its first club, inside the transaction that makes it.
 * @throws the driver's duplicate error when it is claimed already; it waits for a claim that is being made
 */
export async function claimInstallation(db: Database): Promise<void> {
  await db.execute('INSERT INTO installation (id) VALUES (1)');
}
