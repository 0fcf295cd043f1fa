import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import type { Conflict, StoredAttempt } from '../../../core/records/storedAttempt.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { logOf, type AttemptLog } from '../../../core/records/attempt.ts';
import { readable, readableRows, wholeRow } from '../damaged.ts';
import { isDuplicate, troubleOf } from '../errors.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

interface AttemptRow extends RowDataPacket {
  id: string;
  round_id: string;
  ordinal: number;
  outcome: StoredAttempt['outcome'];
  landing_x: number | null;
  landing_y: number | null;
  points: number;
  along: number | null;
  across: number | null;
  log: unknown;
  counted: unknown;
  played_at: Date;
  undone_at: Date | null;
  contested: number;
  recorder: string | null;
  recorded_by: string | null;
  changed_at: Date | null;
  changer: string | null;
  change_reason: string | null;
}

const SELECT = `SELECT a.id, a.round_id, a.ordinal, a.outcome, a.landing_x, a.landing_y, a.points, a.along, a.across,
    a.log, a.counted, a.played_at, a.undone_at, a.contested, a.changed_at, a.change_reason, a.recorded_by,
    recorder.name AS recorder, changer.name AS changer
  FROM attempts a LEFT JOIN people recorder ON recorder.id = a.recorded_by
    LEFT JOIN people changer ON changer.id = a.changed_by`;

/** An attempt from before the logs: a single shot of which the outcome and the landing are known. */
function earlyLog({ outcome, landing }: Pick<StoredAttempt, 'outcome' | 'landing'>): AttemptLog {
  return logOf({ shots: [{ ...BLANK_SHOT, inOff: outcome === 'in-off', landing }] });
}

function attemptOf(row: AttemptRow): StoredAttempt {
  const landing =
    row.landing_x === null || row.landing_y === null ? null : { x: row.landing_x, y: row.landing_y };
  return {
    id: row.id,
    ordinal: row.ordinal,
    outcome: row.outcome,
    landing,
    points: row.points,
    along: row.along,
    across: row.across,
    log: row.log === null ? earlyLog({ outcome: row.outcome, landing }) : fromStored('log', row.log),
    counted:
      row.counted === null
        ? { done: row.outcome === 'potted', points: row.points }
        : fromStored('counted', row.counted),
    playedAt: row.played_at.toISOString(),
    changed:
      row.changed_at === null || row.change_reason === null
        ? null
        : { reason: row.change_reason, by: row.changer ?? '', at: row.changed_at.toISOString() },
  };
}

/** The standing attempts of some rounds, by round, in their order. */
export async function listAttempts(
  db: Database,
  roundIds: readonly string[],
): Promise<Map<string, StoredAttempt[]>> {
  const byRound = new Map<string, StoredAttempt[]>();
  if (roundIds.length === 0) return byRound;
  const [rows] = await db.execute<AttemptRow[]>(
    `${SELECT} WHERE a.undone_at IS NULL AND NOT a.contested AND a.round_id IN (${roundIds.map(() => '?').join(', ')})
     ORDER BY a.round_id, a.ordinal`,
    [...roundIds],
  );
  for (const row of rows) {
    const attempt = readable('attempts', row.id, () => attemptOf(row));
    if (attempt === undefined) continue;
    const list = byRound.get(row.round_id) ?? [];
    list.push(attempt);
    byRound.set(row.round_id, list);
  }
  return byRound;
}

/** The second entries of shots of a round that the coach has not settled, oldest first. */
export async function listConflicts(db: Database, roundId: string): Promise<readonly Conflict[]> {
  const [rows] = await db.execute<AttemptRow[]>(
    `${SELECT} WHERE a.round_id = ? AND a.contested AND a.undone_at IS NULL ORDER BY a.ordinal, a.played_at, a.id`,
    [roundId],
  );
  return readableRows('attempts', rows, (row) => ({
    attempt: attemptOf(row),
    by: row.recorder ?? 'another device',
  }));
}

export interface KnownAttempt {
  readonly roundId: string;
  readonly undone: boolean;
  readonly contested: boolean;
  /** Who entered it; null for one from before that was kept. */
  readonly recordedBy: string | null;
  readonly attempt: StoredAttempt;
}

function knownOf(row: AttemptRow | undefined): KnownAttempt | undefined {
  return (
    row && {
      roundId: row.round_id,
      undone: row.undone_at !== null,
      contested: row.contested === 1,
      recordedBy: row.recorded_by,
      attempt: wholeRow('attempt', () => attemptOf(row)),
    }
  );
}

/** An attempt by its id, undone or not, with the round it belongs to. */
export async function findAttempt(db: Database, id: string): Promise<KnownAttempt | undefined> {
  const [rows] = await db.execute<AttemptRow[]>(`${SELECT} WHERE a.id = ?`, [id]);
  return knownOf(rows[0]);
}

/** What is there already of a shot that is to be stored. */
export interface Present {
  /** The attempt of that id, undone or not. */
  readonly known: KnownAttempt | undefined;
  /** The standing attempt of the same shot of the round. */
  readonly standing: KnownAttempt | undefined;
}

/** Looks for an attempt by its id, and for the one that stands for the same shot, in one go. */
export async function findPresent(
  db: Database,
  roundId: string,
  attempt: Pick<StoredAttempt, 'id' | 'ordinal'>,
): Promise<Present> {
  const [rows] = await db.execute<AttemptRow[]>(
    `${SELECT} WHERE a.id = ? UNION ALL ${SELECT} WHERE a.round_id = ? AND a.ordinal = ? AND a.standing = 1 AND a.id <> ?`,
    [attempt.id, roundId, attempt.ordinal, attempt.id],
  );
  return {
    known: knownOf(rows.find(({ id }) => id === attempt.id)),
    standing: knownOf(rows.find(({ id }) => id !== attempt.id)),
  };
}

function columnsOf(attempt: StoredAttempt) {
  return [
    attempt.outcome,
    attempt.landing?.x ?? null,
    attempt.landing?.y ?? null,
    attempt.points,
    attempt.along,
    attempt.across,
    toStored('log', attempt.log),
    toStored('counted', attempt.counted),
  ];
}

/** Whose entry it is, and whether it stands or waits beside another for the same shot. */
interface Entry {
  readonly recordedBy: string;
  readonly contested: boolean;
}

const COLUMNS = `id, round_id, ordinal, outcome, landing_x, landing_y, points, along, across, log, counted,
       played_at, recorded_by, contested`;

/**
 * Stores an attempt.
 * @returns false when its id, or what stands for its shot of the round, is already there: nothing was changed
 */
export async function insertAttempt(
  db: Database,
  roundId: string,
  attempt: StoredAttempt,
  { recordedBy, contested }: Entry,
): Promise<boolean> {
  const inserted = db.execute(
    `INSERT INTO attempts (${COLUMNS}) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      attempt.id,
      roundId,
      attempt.ordinal,
      ...columnsOf(attempt),
      new Date(attempt.playedAt),
      recordedBy,
      contested ? 1 : 0,
    ],
  );
  return inserted.then(
    () => true,
    (error: unknown) => {
      if (isDuplicate(error)) return false;
      throw error;
    },
  );
}

/**
 * Stores an attempt of a round that is open, in one statement: the round's row is locked for reading meanwhile, so that
 * its end waits for the attempt, or the attempt finds it ended.
 * @returns false where there is no such open round, or where the attempt's id or its shot is there already
 */
export async function insertWhileOpen(
  pool: Database,
  clubId: string,
  roundId: string,
  attempt: StoredAttempt,
  recordedBy: string,
): Promise<boolean> {
  try {
    const [{ affectedRows }] = await pool.execute<ResultSetHeader>(
      `INSERT INTO attempts (${COLUMNS})
       SELECT ?, r.id, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, 0 FROM rounds r
       WHERE r.id = ? AND r.club_id = ? AND r.ended_at IS NULL AND r.removed_at IS NULL`,
      [
        attempt.id,
        attempt.ordinal,
        ...columnsOf(attempt),
        new Date(attempt.playedAt),
        recordedBy,
        roundId,
        clubId,
      ],
    );
    return affectedRows === 1;
  } catch (error) {
    // Whether a node that is gone stored it nobody knows: who looks closer finds it by its id.
    if (isDuplicate(error) || troubleOf(error) === 'gone') return false;
    throw error;
  }
}

/** Takes an attempt back, or brings it back. @throws the driver's duplicate error when another stands in its place */
export async function setUndone(db: Database, id: string, undoneAt: Date | null): Promise<void> {
  await db.execute('UPDATE attempts SET undone_at = ? WHERE id = ?', [undoneAt, id]);
}

/** Makes a second entry the one that stands. @throws the driver's duplicate error while another one stands */
export async function letStand(db: Database, id: string): Promise<void> {
  await db.execute('UPDATE attempts SET contested = 0, undone_at = NULL WHERE id = ?', [id]);
}

/** Tells an attempt otherwise, and keeps what it was. The same change sent again is kept once. */
export async function changeAttempt(
  db: Database,
  attempt: StoredAttempt,
  change: { readonly by: string; readonly reason: string; readonly at: Date },
): Promise<void> {
  await db.execute(
    `INSERT INTO attempt_changes (attempt_id, changed_at, changed_by, reason, log_before)
     SELECT a.id, ?, ?, ?, a.log FROM attempts a WHERE a.id = ?
     ON DUPLICATE KEY UPDATE attempt_changes.reason = attempt_changes.reason`,
    [change.at, change.by, change.reason, attempt.id],
  );
  await db.execute(
    `UPDATE attempts SET outcome = ?, landing_x = ?, landing_y = ?, points = ?, along = ?, across = ?, log = ?,
       counted = ?, changed_at = ?, changed_by = ?, change_reason = ? WHERE id = ?`,
    [...columnsOf(attempt), change.at, change.by, change.reason, attempt.id],
  );
}

/** Keeps a fuller log of an attempt whose score stays what it was. */
export async function noteAttempt(db: Database, attempt: StoredAttempt): Promise<void> {
  await db.execute(
    `UPDATE attempts SET outcome = ?, landing_x = ?, landing_y = ?, points = ?, along = ?, across = ?, log = ?,
       counted = ? WHERE id = ?`,
    [...columnsOf(attempt), attempt.id],
  );
}

/** A call of an attempt: of which drill's text, and whether it was right. */
export interface CallOfRound {
  readonly drillOwner: string;
  readonly drill: string;
  readonly revision: number;
  readonly right: boolean;
}

interface CallRow extends RowDataPacket {
  drill_owner: string;
  drill: string;
  revision: number;
  is_right: number;
}

/** The standing calls of a player's rounds, the newest first. */
export async function listCallsOfRounds(
  db: Database,
  clubId: string,
  playerId: string,
): Promise<readonly CallOfRound[]> {
  const [rows] = await db.execute<CallRow[]>(
    `SELECT r.drill_owner, r.drill, r.revision,
       JSON_VALUE(a.counted, '$.call.called') = JSON_VALUE(a.counted, '$.call.computed') AS is_right
     FROM rounds r JOIN attempts a ON a.round_id = r.id AND a.standing = 1
     WHERE r.club_id = ? AND r.player_id = ? AND r.removed_at IS NULL AND JSON_EXISTS(a.counted, '$.call.called')
     ORDER BY a.played_at DESC, a.id`,
    [clubId, playerId],
  );
  return rows.map((row) => ({
    drillOwner: row.drill_owner,
    drill: row.drill,
    revision: row.revision,
    right: row.is_right === 1,
  }));
}
