import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import { coachSchema, type Coach } from '../../../core/records/account.ts';
import { readable } from '../damaged.ts';
import type { Database } from '../pool.ts';
import { deleteSessionsOf } from './sessions.ts';

interface CoachRow extends RowDataPacket {
  id: string;
  name: string;
  has_sign_in: number;
  removed: number;
  keeper: number;
}

/** The coaches of a club, those who have left last. */
export async function listCoaches(db: Database, clubId: string): Promise<readonly Coach[]> {
  const [rows] = await db.execute<CoachRow[]>(
    `SELECT id, name, email IS NOT NULL AS has_sign_in, archived_at IS NOT NULL AS removed, keeper
     FROM people WHERE club_id = ? AND role = 'coach' ORDER BY archived_at IS NOT NULL, name, id`,
    [clubId],
  );
  return rows.flatMap(
    (row) =>
      readable('people', row.id, () =>
        coachSchema.validateSync({
          id: row.id,
          name: row.name,
          hasSignIn: row.has_sign_in === 1,
          removed: row.removed === 1,
          keeper: row.keeper === 1,
        }),
      ) ?? [],
  );
}

/** Locks the coaches of a club: of two who remove each other at once one stays. */
export async function lockCoaches(db: Database, clubId: string): Promise<readonly string[]> {
  const [rows] = await db.execute<(RowDataPacket & { id: string })[]>(
    `SELECT id FROM people WHERE club_id = ? AND role = 'coach' AND archived_at IS NULL FOR UPDATE`,
    [clubId],
  );
  return rows.map(({ id }) => id);
}

/** A coach leaves: without a sign-in, a session or a code. What they wrote stays the club's, with their name. */
export async function removeCoach(db: Database, clubId: string, id: string, now: Date): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE people SET archived_at = ?, email = NULL, password_hash = NULL, keeper = FALSE
     WHERE club_id = ? AND id = ? AND role = 'coach' AND archived_at IS NULL`,
    [now, clubId, id],
  );
  if (result.affectedRows === 0) return false;
  await deleteSessionsOf(db, id);
  await db.execute('DELETE FROM sign_in_codes WHERE person_id = ?', [id]);
  await db.execute('DELETE FROM known_devices WHERE person_id = ?', [id]);
  return true;
}

/** A coach comes back: they need a new code to sign in. */
export async function bringCoachBack(db: Database, clubId: string, id: string): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE people SET archived_at = NULL
     WHERE club_id = ? AND id = ? AND role = 'coach' AND archived_at IS NOT NULL`,
    [clubId, id],
  );
  return result.affectedRows > 0;
}

/** What a password is checked against, and its hash. */
export interface OwnSignIn {
  readonly passwordHash: string | null;
  readonly name: string;
  readonly email: string | null;
  readonly club: string;
}

interface OwnRow extends RowDataPacket {
  password_hash: string | null;
  name: string;
  email: string | null;
  club: string;
}

export async function findOwnSignIn(db: Database, id: string): Promise<OwnSignIn | undefined> {
  const [rows] = await db.execute<OwnRow[]>(
    `SELECT p.password_hash, p.name, p.email, c.name AS club
     FROM people p JOIN clubs c ON c.id = p.club_id WHERE p.id = ?`,
    [id],
  );
  const row = rows[0];
  return row && { passwordHash: row.password_hash, name: row.name, email: row.email, club: row.club };
}

/** Another password; whoever is signed in with the old one is not any more. */
export async function storePassword(db: Database, id: string, passwordHash: string): Promise<void> {
  await db.execute('UPDATE people SET password_hash = ? WHERE id = ? AND email IS NOT NULL', [
    passwordHash,
    id,
  ]);
  await deleteSessionsOf(db, id);
}
