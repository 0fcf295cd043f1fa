import type { RowDataPacket } from 'mysql2/promise';
import type { PersonCorrection } from '../../../core/records/corrections.ts';
import type { Player, PlayerChange } from '../../../core/records/player.ts';
import type { Role } from '../../../core/records/account.ts';
import type { Database } from '../pool.ts';

export interface NewPerson {
  readonly id: string;
  readonly clubId: string;
  readonly role: Role;
  readonly name: string;
  readonly hand: Player['hand'];
  readonly email: string | null;
  readonly passwordHash: string | null;
  /** Looks after the installation. */
  readonly keeper?: boolean;
}

interface SignInRow extends RowDataPacket {
  id: string;
  password_hash: string;
}

interface PlayerRow extends RowDataPacket {
  id: string;
  name: string;
  hand: Player['hand'];
  archived: number;
  has_sign_in: number;
  may_rewrite: number;
  rounds: number;
  last_round_at: Date | null;
}

export async function insertPerson(db: Database, person: NewPerson): Promise<void> {
  await db.execute(
    `INSERT INTO people (id, club_id, role, name, hand, email, password_hash, keeper)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      person.id,
      person.clubId,
      person.role,
      person.name,
      person.hand,
      person.email,
      person.passwordHash,
      person.keeper === true ? 1 : 0,
    ],
  );
}

export async function findSignIn(
  db: Database,
  email: string,
): Promise<{ readonly id: string; readonly passwordHash: string } | undefined> {
  const [rows] = await db.execute<SignInRow[]>(
    'SELECT id, password_hash FROM people WHERE email = ? AND password_hash IS NOT NULL AND archived_at IS NULL',
    [email.toLowerCase()],
  );
  const row = rows[0];
  return row && { id: row.id, passwordHash: row.password_hash };
}

const PLAYER_COLUMNS = `p.id, p.name, p.hand, p.archived_at IS NOT NULL AS archived,
  p.email IS NOT NULL AS has_sign_in, p.may_rewrite,
  (SELECT COUNT(*) FROM rounds r WHERE r.player_id = p.id AND r.removed_at IS NULL) AS rounds,
  (SELECT MAX(r.started_at) FROM rounds r WHERE r.player_id = p.id AND r.removed_at IS NULL) AS last_round_at`;

function playerOf(row: PlayerRow): Player {
  return {
    id: row.id,
    name: row.name,
    hand: row.hand,
    archived: row.archived === 1,
    hasSignIn: row.has_sign_in === 1,
    mayRewrite: row.may_rewrite === 1,
    rounds: row.rounds,
    lastRoundAt: row.last_round_at?.toISOString() ?? null,
  };
}

export async function listPlayers(db: Database, clubId: string): Promise<Player[]> {
  const [rows] = await db.execute<PlayerRow[]>(
    `SELECT ${PLAYER_COLUMNS} FROM people p WHERE p.club_id = ? AND p.role = 'player' AND p.erased_at IS NULL ORDER BY p.name`,
    [clubId],
  );
  return rows.map(playerOf);
}

export async function findPlayer(db: Database, clubId: string, id: string): Promise<Player | undefined> {
  const [rows] = await db.execute<PlayerRow[]>(
    `SELECT ${PLAYER_COLUMNS} FROM people p WHERE p.club_id = ? AND p.id = ? AND p.role = 'player' AND p.erased_at IS NULL`,
    [clubId, id],
  );
  return rows[0] && playerOf(rows[0]);
}

/** @param now when the player is archived, if the change says so */
export async function updatePlayer(
  db: Database,
  clubId: string,
  id: string,
  change: PlayerChange,
  now: Date,
): Promise<void> {
  await db.execute(
    `UPDATE people SET name = ?, hand = ?, archived_at = IF(?, COALESCE(archived_at, ?), NULL)
     WHERE club_id = ? AND id = ? AND role = 'player'`,
    [change.name, change.hand, change.archived ? 1 : 0, now, clubId, id],
  );
}

/** Whether a coach lets a player change what coaches entered. */
export async function mayRewrite(db: Database, id: string): Promise<boolean> {
  const [rows] = await db.execute<(RowDataPacket & { may_rewrite: number })[]>(
    'SELECT may_rewrite FROM people WHERE id = ?',
    [id],
  );
  return rows[0]?.may_rewrite === 1;
}

/** Lets a player change what coaches entered, or not. */
export async function setMayRewrite(
  db: Database,
  clubId: string,
  id: string,
  allowed: boolean,
): Promise<void> {
  await db.execute(`UPDATE people SET may_rewrite = ? WHERE club_id = ? AND id = ? AND role = 'player'`, [
    allowed ? 1 : 0,
    clubId,
    id,
  ]);
}

/** Puts name, hand and address of a player right. @throws the driver's duplicate error for an address that is taken */
export async function correctPerson(
  db: Database,
  clubId: string,
  id: string,
  { name, hand, email }: PersonCorrection,
): Promise<void> {
  await db.execute(
    `UPDATE people SET name = ?, hand = ?, email = ? WHERE club_id = ? AND id = ? AND role = 'player'`,
    [name, hand, email, clubId, id],
  );
}
