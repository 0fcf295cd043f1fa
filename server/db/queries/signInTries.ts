import { randomUUID } from 'node:crypto';
import type { RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';

/** How tries of one subject are slowed down. */
export interface Slowing {
  /** So many are let through without waiting. */
  readonly free: number;
  /** The longest time between two, seconds; it doubles from one second up to this. */
  readonly longestS: number;
}

/** A subject that nobody tries for so long is forgotten, seconds. */
const FORGET_S = 3_600;

interface TryRow extends RowDataPacket {
  granted: string;
  wait_us: number;
}

/**
 * Counts a try, before anything is looked at that takes time: tries at the same moment are all counted. One that comes
 * too early is counted too, and makes the time after the next one longer, but not the time it waits itself.
 * @returns how long to wait, seconds; 0 when this try is let through
 */
export async function countTry(
  db: Database,
  subject: string,
  now: Date,
  { free, longestS }: Slowing,
): Promise<number> {
  const id = randomUUID();
  const forgotten = new Date(now.getTime() - 1_000 * FORGET_S);
  // Each assignment sees what those before it left. Servers' clocks may differ: nobody waits longer than the longest time.
  await db.execute(
    `INSERT INTO sign_in_tries (subject, tries, granted, allowed_at, seen_at) VALUES (?, 1, ?, ?, ?)
     ON DUPLICATE KEY UPDATE
       tries = IF(seen_at < ?, 1, LEAST(tries + 1, 1000000)),
       allowed_at = IF(seen_at < ? OR allowed_at > VALUES(seen_at) + INTERVAL ? SECOND, VALUES(seen_at), allowed_at),
       granted = IF(allowed_at <= VALUES(seen_at), VALUES(granted), granted),
       allowed_at = IF(granted = VALUES(granted) AND tries > ?,
         VALUES(seen_at) + INTERVAL LEAST(?, POW(2, LEAST(tries - ?, 30))) SECOND, allowed_at),
       seen_at = VALUES(seen_at)`,
    [subject, id, now, now, forgotten, forgotten, longestS, free - 1, longestS, free],
  );
  const [rows] = await db.execute<TryRow[]>(
    `SELECT granted, TIMESTAMPDIFF(MICROSECOND, ?, allowed_at) AS wait_us
     FROM sign_in_tries WHERE subject = ?`,
    [now, subject],
  );
  const row = rows[0];
  // One whose turn came after this one's has left its own mark: this one was let through if it did not have to wait.
  if (row === undefined || row.granted === id) return 0;
  return Math.max(0, Math.ceil(row.wait_us / 1e6));
}

/** A subject that got in is not slowed down any more. */
export async function forgetTries(db: Database, subject: string): Promise<void> {
  await db.execute('DELETE FROM sign_in_tries WHERE subject = ?', [subject]);
}

/** A try that got in was no guess: it does not count for the others of its subject. */
export async function uncountTry(db: Database, subject: string): Promise<void> {
  await db.execute('UPDATE sign_in_tries SET tries = GREATEST(tries - 1, 0) WHERE subject = ?', [subject]);
}

export async function deleteOldTries(db: Database, now: Date): Promise<void> {
  await db.execute('DELETE FROM sign_in_tries WHERE seen_at < ?', [
    new Date(now.getTime() - 1_000 * FORGET_S),
  ]);
}
