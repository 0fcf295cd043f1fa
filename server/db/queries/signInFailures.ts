import type { RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';

interface FailuresRow extends RowDataPacket {
  failures: number;
}

export async function countFailures(db: Database, subject: string, now: Date): Promise<number> {
  const [rows] = await db.execute<FailuresRow[]>(
    'SELECT failures FROM sign_in_failures WHERE subject = ? AND window_ends_at > ?',
    [subject, now],
  );
  return rows[0]?.failures ?? 0;
}

export async function recordFailure(
  db: Database,
  subject: string,
  now: Date,
  windowEnd: Date,
): Promise<void> {
  await db.execute(
    `INSERT INTO sign_in_failures (subject, failures, window_ends_at) VALUES (?, 1, ?)
     ON DUPLICATE KEY UPDATE
       failures = IF(window_ends_at > ?, failures + 1, 1),
       window_ends_at = IF(window_ends_at > ?, window_ends_at, VALUES(window_ends_at))`,
    [subject, windowEnd, now, now],
  );
}

export async function clearFailures(db: Database, subject: string): Promise<void> {
  await db.execute('DELETE FROM sign_in_failures WHERE subject = ?', [subject]);
}
