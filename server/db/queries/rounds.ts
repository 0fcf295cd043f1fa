import type { RowDataPacket } from 'mysql2/promise';
import type { AttemptLog } from '../../../core/records/attempt.ts';
import type { Player } from '../../../core/records/player.ts';
import type { Round } from '../../../core/records/round.ts';
import type { StoredAttempt } from '../../../core/records/storedAttempt.ts';
import type { AdviceChoice } from '../../../core/records/advice.ts';
import type { RoundSums } from '../../../core/records/roundSums.ts';
import { readable, readableRows, wholeRow } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';
import { listAttempts } from './attempts.ts';
import { LIBRARY } from './drills.ts';

export interface NewRoundRow {
  readonly id: string;
  readonly clubId: string;
  readonly playerId: string;
  readonly recordedBy: string;
  readonly tableId: string;
  readonly tableRevision: number;
  readonly conditionsId: string | null;
  readonly tableFingerprint: string;
  readonly drillOwner: string;
  readonly drill: string;
  readonly revision: number;
  readonly stage: number;
  readonly ladderStart: number;
  readonly seed: number;
  readonly mirrored: boolean;
  readonly lesson: Round['lesson'];
  readonly startedAt: Date;
}

interface RoundRow extends RowDataPacket {
  id: string;
  player_id: string;
  player_name: string;
  hand: Player['hand'];
  table_id: string;
  table_name: string;
  preset: Round['table']['preset'];
  table_fingerprint: string;
  table_revision: number;
  conditions_id: string | null;
  drill_owner: string;
  drill: string;
  revision: number;
  stage: number;
  ladder_start: number;
  seed: number;
  mirrored: number;
  lesson_id: string | null;
  block_id: string | null;
  result: unknown;
  advice: unknown;
  started_at: Date;
  ended_at: Date | null;
  ended_early: number | null;
}

const OWN_COLUMNS = `r.id, r.player_id, r.table_id, r.table_fingerprint, r.table_revision, r.conditions_id,
    r.drill_owner, r.drill, r.revision, r.stage, r.ladder_start, r.seed, r.mirrored, r.lesson_id, r.block_id, r.result, r.advice,
    r.started_at, r.ended_at, r.ended_early`;
const ROUND_SELECT = `SELECT ${OWN_COLUMNS}, p.name AS player_name, p.hand, t.name AS table_name, t.preset
  FROM rounds r JOIN people p ON p.id = r.player_id JOIN tables t ON t.id = r.table_id`;

/** A round without its attempts; its result is kept once it has ended. */
export type RoundHead = Omit<Round, 'attempts' | 'result'> & { readonly result: Round['result'] | undefined };

/** A round whose result may have to be counted yet. */
export type StoredRound = RoundHead & { readonly attempts: StoredAttempt[] };

function headOf(row: RoundRow): RoundHead {
  return {
    id: row.id,
    player: { id: row.player_id, name: row.player_name, hand: row.hand },
    table: {
      id: row.table_id,
      name: row.table_name,
      preset: row.preset,
      revision: row.table_revision,
      conditionsId: row.conditions_id,
      fingerprint: row.table_fingerprint,
    },
    drill: row.drill,
    ownDrill: row.drill_owner !== LIBRARY,
    revision: row.revision,
    stage: row.stage,
    ladderStart: row.ladder_start,
    seed: row.seed,
    mirrored: row.mirrored === 1,
    lesson:
      row.lesson_id === null || row.block_id === null ? null : { id: row.lesson_id, block: row.block_id },
    result:
      row.result === null
        ? undefined
        : // A result that cannot be read is counted again from the attempts.
          readable('rounds', row.id, () => fromStored('result', row.result)),
    advice:
      row.advice === null
        ? null
        : (readable('rounds', row.id, () => fromStored('advice', row.advice)) ?? null),
    startedAt: row.started_at.toISOString(),
    endedAt: row.ended_at?.toISOString() ?? null,
    early: row.ended_early === null ? null : row.ended_early === 1,
  };
}

/** Rounds with their standing attempts in their order. */
export async function withAttempts(db: Database, heads: readonly RoundHead[]): Promise<StoredRound[]> {
  const attempts = await listAttempts(
    db,
    heads.map((head) => head.id),
  );
  return heads.map((head) => ({ ...head, attempts: attempts.get(head.id) ?? [] }));
}

/** Stores a round; one that is already there stays as it is. */
export async function insertRound(db: Database, round: NewRoundRow): Promise<void> {
  await db.execute(
    `INSERT INTO rounds (id, club_id, player_id, recorded_by, table_id, table_revision, conditions_id,
       table_fingerprint, drill_owner, drill, revision, stage, ladder_start, seed, mirrored, lesson_id, block_id,
       started_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON DUPLICATE KEY UPDATE id = id`,
    [
      round.id,
      round.clubId,
      round.playerId,
      round.recordedBy,
      round.tableId,
      round.tableRevision,
      round.conditionsId,
      round.tableFingerprint,
      round.drillOwner,
      round.drill,
      round.revision,
      round.stage,
      round.ladderStart,
      round.seed,
      round.mirrored ? 1 : 0,
      round.lesson?.id ?? null,
      round.lesson?.block ?? null,
      round.startedAt,
    ],
  );
}

export async function findRoundHead(
  db: Database,
  clubId: string,
  id: string,
): Promise<RoundHead | undefined> {
  const [rows] = await db.execute<RoundRow[]>(
    `${ROUND_SELECT} WHERE r.removed_at IS NULL AND r.club_id = ? AND r.id = ?`,
    [clubId, id],
  );
  const row = rows[0];
  return row && wholeRow('round', () => headOf(row));
}

/** Keeps others from changing a round until the transaction is over. */
export async function lockRound(db: Database, id: string): Promise<void> {
  await db.execute('SELECT id FROM rounds WHERE id = ? FOR UPDATE', [id]);
}

/**
 * Locks a round until its transaction is over, and reads it as it is then: in one look, which begins no snapshot.
 * @param before the round as it was read without the lock: whose it is and where it was played keep their names meanwhile
 */
export async function lockRoundHead(
  db: Database,
  clubId: string,
  before: RoundHead,
): Promise<RoundHead | undefined> {
  const [rows] = await db.execute<RoundRow[]>(
    `SELECT ${OWN_COLUMNS} FROM rounds r WHERE r.id = ? AND r.club_id = ? AND r.removed_at IS NULL FOR UPDATE`,
    [before.id, clubId],
  );
  const row = rows[0];
  if (row === undefined) return undefined;
  // It was given to another player meanwhile.
  if (row.player_id !== before.player.id) return findRoundHead(db, clubId, before.id);
  const named = {
    ...row,
    player_name: before.player.name,
    hand: before.player.hand,
    table_name: before.table.name,
    preset: before.table.preset,
  };
  return wholeRow('round', () => headOf(named));
}

/** A round's head with its standing attempts in their order. */
export async function completeRound(db: Database, head: RoundHead): Promise<StoredRound> {
  const [round] = await withAttempts(db, [head]);
  return round ?? { ...head, attempts: [] };
}

/** Which of a player's ended rounds are asked for; of every drill, text, stage or table where nothing is said. */
export interface RoundChoice {
  readonly drill: string | undefined;
  readonly revision: number | undefined;
  readonly stage: number | undefined;
  readonly fingerprint: string | undefined;
}

/** The newest ended rounds of a player, oldest first, without their attempts. */
export async function listHeadsOfPlayer(
  db: Database,
  clubId: string,
  playerId: string,
  { drill, revision, stage, fingerprint }: RoundChoice,
  limit: number,
): Promise<RoundHead[]> {
  const wanted = [
    ['r.drill', drill],
    ['r.revision', revision],
    ['r.stage', stage],
    ['r.table_fingerprint', fingerprint],
  ] as const;
  const given = wanted.flatMap(([column, value]) => (value === undefined ? [] : [{ column, value }]));
  const [rows] = await db.execute<RoundRow[]>(
    `${ROUND_SELECT} WHERE r.removed_at IS NULL AND r.club_id = ? AND r.player_id = ? AND r.ended_at IS NOT NULL
       ${given.map(({ column }) => `AND ${column} = ?`).join(' ')}
     ORDER BY r.started_at DESC LIMIT ${String(Math.trunc(limit))}`,
    [clubId, playerId, ...given.map(({ value }) => value)],
  );
  return readableRows('rounds', rows, headOf).reverse();
}

/** The same with their attempts. */
export async function listRoundsOfPlayer(
  db: Database,
  ...which: [clubId: string, playerId: string, choice: RoundChoice, limit: number]
): Promise<StoredRound[]> {
  return withAttempts(db, await listHeadsOfPlayer(db, ...which));
}

/** The ended rounds of a time, oldest first, without their attempts; everybody's when no player is named. */
export async function listHeadsBetween(
  db: Database,
  clubId: string,
  which: { readonly playerId: string | undefined; readonly from: Date; readonly to: Date },
): Promise<RoundHead[]> {
  const { playerId = null, from, to } = which;
  const [rows] = await db.execute<RoundRow[]>(
    `${ROUND_SELECT} WHERE r.removed_at IS NULL AND r.club_id = ? AND (? IS NULL OR r.player_id = ?) AND r.ended_at IS NOT NULL
       AND r.started_at BETWEEN ? AND ? ORDER BY r.started_at`,
    [clubId, playerId, playerId, from, to],
  );
  return readableRows('rounds', rows, headOf);
}

/** The rounds of a lesson, oldest first. */
export async function listRoundsOfLesson(
  db: Database,
  clubId: string,
  lessonId: string,
): Promise<StoredRound[]> {
  const [rows] = await db.execute<RoundRow[]>(
    `${ROUND_SELECT} WHERE r.removed_at IS NULL AND r.club_id = ? AND r.lesson_id = ? ORDER BY r.started_at`,
    [clubId, lessonId],
  );
  return withAttempts(db, readableRows('rounds', rows, headOf));
}

/** What a round came to, and what its shots add up to. */
export interface KeptResult {
  readonly result: Round['result'];
  readonly sums: RoundSums;
}

/** Ends a round, whose result is then to be counted; not one that has ended, nor by an end that was taken back and comes late once more. */
export async function endRound(
  db: Database,
  id: string,
  end: { readonly at: Date; readonly early: boolean },
): Promise<void> {
  await db.execute(
    `UPDATE rounds SET ended_at = ?, ended_early = ?, under_way = NULL, under_way_at = NULL
     WHERE id = ? AND ended_at IS NULL AND NOT (reopened_end <=> ?)`,
    [end.at, end.early ? 1 : 0, id, end.at],
  );
}

/** Keeps what an ended round comes to where nothing is kept of it; whoever changed it meanwhile has done so. */
export async function storeMissingResult(
  db: Database,
  id: string,
  { result, sums }: KeptResult,
): Promise<void> {
  await db.execute(
    `UPDATE rounds SET result = ?, sums = ?
     WHERE id = ? AND ended_at IS NOT NULL AND (result IS NULL OR sums IS NULL)`,
    [toStored('result', result), toStored('sums', sums), id],
  );
}

/** By whom a round was opened. */
export async function recorderOf(db: Database, id: string): Promise<string | null> {
  const [rows] = await db.execute<(RowDataPacket & { recorded_by: string })[]>(
    'SELECT recorded_by FROM rounds WHERE id = ?',
    [id],
  );
  return rows[0]?.recorded_by ?? null;
}

/** Of an ended round the result is counted anew. */
export async function storeResult(db: Database, id: string, { result, sums }: KeptResult): Promise<void> {
  await db.execute('UPDATE rounds SET result = ?, sums = ? WHERE id = ? AND ended_at IS NOT NULL', [
    toStored('result', result),
    toStored('sums', sums),
    id,
  ]);
}

export async function reopenRound(db: Database, id: string): Promise<void> {
  await db.execute(
    `UPDATE rounds SET reopened_end = COALESCE(ended_at, reopened_end), ended_at = NULL, ended_early = NULL,
       result = NULL, sums = NULL
     WHERE id = ?`,
    [id],
  );
}

/** Keeps the attempt that is not over yet; an older one that comes late changes nothing. */
export async function storeUnderWay(
  db: Database,
  id: string,
  log: AttemptLog | null,
  at: Date,
): Promise<void> {
  await db.execute(
    `UPDATE rounds SET under_way = ?, under_way_at = ?
     WHERE id = ? AND ended_at IS NULL AND (under_way_at IS NULL OR under_way_at <= ?)`,
    [log === null ? null : toStored('log', log), at, id, at],
  );
}

interface UnderWayRow extends RowDataPacket {
  under_way: unknown;
}

export async function findUnderWay(db: Database, id: string): Promise<AttemptLog | null> {
  const [rows] = await db.execute<UnderWayRow[]>('SELECT under_way FROM rounds WHERE id = ?', [id]);
  const stored = rows[0]?.under_way ?? null;
  return stored === null ? null : (readable('rounds', id, () => fromStored('log', stored)) ?? null);
}

/** How many attempts stand in each of some rounds. */
export async function countAttempts(
  db: Database,
  roundIds: readonly string[],
): Promise<ReadonlyMap<string, number>> {
  if (roundIds.length === 0) return new Map();
  const [rows] = await db.execute<(RowDataPacket & { round_id: string; n: number })[]>(
    `SELECT round_id, COUNT(*) AS n FROM attempts
     WHERE standing = 1 AND round_id IN (${roundIds.map(() => '?').join(', ')}) GROUP BY round_id`,
    [...roundIds],
  );
  return new Map(rows.map(({ round_id: id, n }) => [id, n]));
}

/** Newest first, without their attempts. @param playerId only this player's; everybody's when undefined */
export async function listNewest(
  db: Database,
  clubId: string,
  which: { readonly ended: boolean; readonly playerId: string | undefined; readonly limit: number },
): Promise<RoundHead[]> {
  const [rows] = await db.execute<RoundRow[]>(
    `${ROUND_SELECT} WHERE r.removed_at IS NULL AND r.club_id = ? AND (r.ended_at IS NOT NULL) = ? AND (? IS NULL OR r.player_id = ?)
     ORDER BY r.started_at DESC LIMIT ${String(Math.trunc(which.limit))}`,
    [clubId, which.ended ? 1 : 0, which.playerId ?? null, which.playerId ?? null],
  );
  return readableRows('rounds', rows, headOf);
}

/** Keeps what was proposed after a round and what became of it. */
export async function storeAdvice(db: Database, id: string, advice: AdviceChoice): Promise<void> {
  await db.execute('UPDATE rounds SET advice = ? WHERE id = ?', [toStored('advice', advice), id]);
}
