import type { RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';

/** Remembers that somebody has signed in on a device. */
export async function rememberDevice(
  db: Database,
  digest: string,
  personId: string,
  now: Date,
): Promise<void> {
  await db.execute(
    `INSERT INTO known_devices (token_digest, person_id, seen_at) VALUES (?, ?, ?)
     ON DUPLICATE KEY UPDATE seen_at = VALUES(seen_at)`,
    [digest, personId, now],
  );
}

/** Whether somebody with this e-mail address has signed in on a device before. */
export async function isKnownDevice(db: Database, digest: string, email: string): Promise<boolean> {
  const [rows] = await db.execute<RowDataPacket[]>(
    `SELECT d.person_id FROM known_devices d JOIN people p ON p.id = d.person_id
     WHERE d.token_digest = ? AND p.email = ?`,
    [digest, email],
  );
  return rows.length > 0;
}

/** A password that was given anew makes all of a person's devices strangers. */
export async function forgetDevices(db: Database, personId: string): Promise<void> {
  await db.execute('DELETE FROM known_devices WHERE person_id = ?', [personId]);
}
