import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';
import { forgetDevices } from './knownDevices.ts';
import { deleteSessionsOf } from './sessions.ts';

/** Keeps a person's code in place of the one before. */
export async function storeSignInCode(
  db: Database,
  personId: string,
  digest: string,
  expiresAt: Date,
): Promise<void> {
  await db.execute(
    'INSERT INTO sign_in_codes (person_id, code_digest, expires_at) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE code_digest = VALUES(code_digest), expires_at = VALUES(expires_at)',
    [personId, digest, expiresAt],
  );
}

/** The person whose code it is, if it is still good; held until the transaction is over. */
export async function findPersonOfCode(db: Database, digest: string, now: Date): Promise<string | undefined> {
  const [rows] = await db.execute<(RowDataPacket & { person_id: string })[]>(
    `SELECT c.person_id FROM sign_in_codes c JOIN people p ON p.id = c.person_id
     WHERE c.code_digest = ? AND c.expires_at > ? AND p.archived_at IS NULL AND p.erased_at IS NULL FOR UPDATE`,
    [digest, now],
  );
  return rows[0]?.person_id;
}

/** A code is good for one sign-in. @returns whether it was still there */
export async function useSignInCode(db: Database, personId: string): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>('DELETE FROM sign_in_codes WHERE person_id = ?', [
    personId,
  ]);
  return result.affectedRows > 0;
}

/** Gives somebody a sign-in, in place of one they may have had. @throws the driver's duplicate error for a taken e-mail */
export async function setSignIn(
  db: Database,
  personId: string,
  email: string,
  passwordHash: string,
): Promise<void> {
  await db.execute(`UPDATE people SET email = ?, password_hash = ? WHERE id = ?`, [
    email,
    passwordHash,
    personId,
  ]);
  // Whoever knew the old password is signed out, and where they were is not known any more.
  await deleteSessionsOf(db, personId);
  await forgetDevices(db, personId);
}
