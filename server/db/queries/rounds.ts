import type { RowDataPacket } from 'mysql2/promise';
import type { Player, Round, RoundSummary } from '../../../core/records/club.ts';
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
  readonly shots: number;
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
  shots: number;
  started_at: Date;
  ended_at: Date | null;
  ended_early: number | null;
}

interface SummaryRow extends RowDataPacket {
  id: string;
  player_id: string;
  player: string;
  drill: string;
  stage: number;
  table_name: string;
  points: string | null;
  played: number;
  shots: number;
  started_at: Date;
  ended_at: Date | null;
}

const ROUND_SELECT = `SELECT r.id, r.player_id, p.name AS player_name, p.hand, r.table_id, t.name AS table_name,
    t.preset, r.table_fingerprint, r.table_revision, r.conditions_id, r.drill_owner, r.drill, r.revision, r.stage, r.shots,
    r.started_at, r.ended_at, r.ended_early
  FROM rounds r JOIN people p ON p.id = r.player_id JOIN tables t ON t.id = r.table_id`;

/** A round without its attempts. */
export type RoundHead = Omit<Round, 'attempts'>;

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
    shots: row.shots,
    startedAt: row.started_at.toISOString(),
    endedAt: row.ended_at?.toISOString() ?? null,
    early: row.ended_early === null ? null : row.ended_early === 1,
  };
}

async function withAttempts(db: Database, heads: readonly RoundHead[]): Promise<Round[]> {
  const attempts = await listAttempts(
    db,
    heads.map((head) => head.id),
  );
  return heads.map((head) => ({ ...head, attempts: attempts.get(head.id) ?? [] }));
}

/** Stores a round; one that is already there stays as it is. */
export async function insertRound(db: Database, round: NewRoundRow): Promise<void> {
  await db.execute(
    `INSERT IGNORE INTO rounds (id, club_id, player_id, recorded_by, table_id, table_revision, conditions_id,
       table_fingerprint, drill_owner, drill, revision, stage, shots, started_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
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
      round.shots,
      round.startedAt,
    ],
  );
}

export async function findRoundHead(
  db: Database,
  clubId: string,
  id: string,
): Promise<RoundHead | undefined> {
  const [rows] = await db.execute<RoundRow[]>(`${ROUND_SELECT} WHERE r.club_id = ? AND r.id = ?`, [
    clubId,
    id,
  ]);
  return rows[0] && headOf(rows[0]);
}

/** A round's head with its standing attempts in their order. */
export async function completeRound(db: Database, head: RoundHead): Promise<Round> {
  const [round] = await withAttempts(db, [head]);
  return round ?? { ...head, attempts: [] };
}

/** The ended rounds of a player, oldest first. */
export async function listRoundsOfPlayer(db: Database, clubId: string, playerId: string): Promise<Round[]> {
  const [rows] = await db.execute<RoundRow[]>(
    `${ROUND_SELECT} WHERE r.club_id = ? AND r.player_id = ? AND r.ended_at IS NOT NULL ORDER BY r.started_at`,
    [clubId, playerId],
  );
  return withAttempts(db, rows.map(headOf));
}

export async function endRound(db: Database, id: string, endedAt: Date, early: boolean): Promise<void> {
  await db.execute('UPDATE rounds SET ended_at = ?, ended_early = ? WHERE id = ? AND ended_at IS NULL', [
    endedAt,
    early ? 1 : 0,
    id,
  ]);
}

export async function reopenRound(db: Database, id: string): Promise<void> {
  await db.execute('UPDATE rounds SET ended_at = NULL, ended_early = NULL WHERE id = ?', [id]);
}

/** Newest first. @param playerId only this player's; everybody's when undefined */
export async function listSummaries(
  db: Database,
  clubId: string,
  which: { readonly ended: boolean; readonly playerId: string | undefined; readonly limit: number },
): Promise<RoundSummary[]> {
  const [rows] = await db.execute<SummaryRow[]>(
    `SELECT r.id, r.player_id, p.name AS player, r.drill, r.stage, t.name AS table_name, r.shots, r.started_at,
       r.ended_at, SUM(a.points) AS points, COUNT(a.id) AS played
     FROM rounds r JOIN people p ON p.id = r.player_id JOIN tables t ON t.id = r.table_id
       LEFT JOIN attempts a ON a.round_id = r.id AND a.undone_at IS NULL
     WHERE r.club_id = ? AND (r.ended_at IS NOT NULL) = ? AND (? IS NULL OR r.player_id = ?)
     GROUP BY r.id ORDER BY r.started_at DESC LIMIT ${Math.trunc(which.limit)}`,
    [clubId, which.ended ? 1 : 0, which.playerId ?? null, which.playerId ?? null],
  );
  return rows.map((row) => ({
    id: row.id,
    playerId: row.player_id,
    player: row.player,
    drill: row.drill,
    stage: row.stage,
    table: row.table_name,
    points: Number(row.points ?? 0),
    played: row.played,
    shots: row.shots,
    startedAt: row.started_at.toISOString(),
    endedAt: row.ended_at?.toISOString() ?? null,
  }));
}
