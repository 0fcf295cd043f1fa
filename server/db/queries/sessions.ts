import type { RowDataPacket } from 'mysql2/promise';
import type { Role, Viewer } from '../../../core/records/account.ts';
import { FIRST_RULES } from '../../../core/records/clubRules.ts';
import { noteEpoch } from '../epochs.ts';
import type { Database } from '../pool.ts';
import { fromStored } from '../stored.ts';

interface ViewerRow extends RowDataPacket {
  id: string;
  club_id: string;
  club: string;
  role: Role;
  name: string;
  epoch: number;
  keeper: number;
  rules: unknown;
}

export async function insertSession(
  db: Database,
  digest: string,
  personId: string,
  expiresAt: Date,
): Promise<void> {
  await db.execute('INSERT INTO sessions (token_digest, person_id, expires_at) VALUES (?, ?, ?)', [
    digest,
    personId,
    expiresAt,
  ]);
}

export async function findViewer(db: Database, digest: string, now: Date): Promise<Viewer | undefined> {
  const [rows] = await db.execute<ViewerRow[]>(
    `SELECT p.id, p.club_id, c.name AS club, p.role, p.name, p.keeper, c.epoch, u.document AS rules
     FROM sessions s JOIN people p ON p.id = s.person_id JOIN clubs c ON c.id = p.club_id
       LEFT JOIN club_rules u ON u.club_id = c.id
     WHERE s.token_digest = ? AND s.expires_at > ? AND p.archived_at IS NULL`,
    [digest, now],
  );
  const row = rows[0];
  if (row !== undefined) noteEpoch(row.club_id, row.epoch);
  return (
    row && {
      id: row.id,
      clubId: row.club_id,
      club: row.club,
      role: row.role,
      name: row.name,
      keeper: row.keeper === 1,
      rules: row.rules === null ? FIRST_RULES : fromStored('clubRules', row.rules),
    }
  );
}

export async function deleteSession(db: Database, digest: string): Promise<void> {
  await db.execute('DELETE FROM sessions WHERE token_digest = ?', [digest]);
}

export async function deleteExpiredSessions(db: Database, now: Date): Promise<void> {
  await db.execute('DELETE FROM sessions WHERE expires_at <= ?', [now]);
}

/** Signs somebody out on all devices. */
export async function deleteSessionsOf(db: Database, personId: string): Promise<void> {
  await db.execute('DELETE FROM sessions WHERE person_id = ?', [personId]);
}
