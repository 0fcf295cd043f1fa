import { randomUUID } from 'node:crypto';
import { insertClub } from '../db/queries/clubs.ts';
import { insertPerson, type NewPerson } from '../db/queries/people.ts';
import { insertTable } from '../db/queries/tables.ts';
import type { Database } from '../db/pool.ts';

/** A new club starts with one table of each kind; their names can be told apart at once. */
const FIRST_TABLES = [
  { name: 'Pool table', preset: 'pool-9ft' },
  { name: 'Snooker table', preset: 'snooker-12ft' },
] as const;

/** Makes a club with its first coach and its first tables. To be called inside a transaction. @returns the club's id */
export async function foundClub(
  db: Database,
  name: string,
  coach: Omit<NewPerson, 'clubId' | 'role' | 'hand'>,
): Promise<string> {
  const clubId = randomUUID();
  await insertClub(db, clubId, name);
  await insertPerson(db, { ...coach, clubId, role: 'coach', hand: 'right' });
  for (const table of FIRST_TABLES) await insertTable(db, clubId, { id: randomUUID(), ...table });
  return clubId;
}
