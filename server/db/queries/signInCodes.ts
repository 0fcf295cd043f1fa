import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { Database } from '../pool.ts';

/** Keeps a player's code in place of the one before. */
export async function storeSignInCode(
  db: Database,
  playerId: string,
  digest: string,
  expiresAt: Date,
): Promise<void> {
  await db.execute('REPLACE INTO sign_in_codes (player_id, code_digest, expires_at) VALUES (?, ?, ?)', [
    playerId,
    digest,
    expiresAt,
  ]);
}

/** The player whose code it is, if it is still good; held until the transaction is over. */
export async function findPlayerOfCode(db: Database, digest: string, now: Date): Promise<string | undefined> {
  const [rows] = await db.execute<(RowDataPacket & { player_id: string })[]>(
    `SELECT c.player_id FROM sign_in_codes c JOIN people p ON p.id = c.player_id
     WHERE c.code_digest = ? AND c.expires_at > ? AND p.archived_at IS NULL FOR UPDATE`,
    [digest, now],
  );
  return rows[0]?.player_id;
}

/** A code is good for one sign-in. @returns whether it was still there */
export async function useSignInCode(db: Database, playerId: string): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>('DELETE FROM sign_in_codes WHERE player_id = ?', [
    playerId,
  ]);
  return result.affectedRows > 0;
}

/** Gives a player a sign-in, in place of one they may have had. @throws the driver's duplicate error for a taken e-mail */
export async function setSignIn(
  db: Database,
  playerId: string,
  email: string,
  passwordHash: string,
): Promise<void> {
  await db.execute(`UPDATE people SET email = ?, password_hash = ? WHERE id = ? AND role = 'player'`, [
    email,
    passwordHash,
    playerId,
  ]);
  // Whoever knew the old password is signed out.
  await db.execute('DELETE FROM sessions WHERE person_id = ?', [playerId]);
}
