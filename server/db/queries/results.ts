import type { RowDataPacket } from 'mysql2/promise';
import type { Round } from '../../../core/records/round.ts';
import { readable, readableRows } from '../damaged.ts';
import { fromStored } from '../stored.ts';
import type { Database } from '../pool.ts';
import type { BenchmarkKey } from './benchmarks.ts';
import type { KeptResult } from './rounds.ts';

interface ResultRow extends RowDataPacket {
  id: string;
  table_id: string;
  table_name: string;
  preset: Round['table']['preset'];
  table_revision: number;
  conditions_id: string | null;
  table_fingerprint: string;
  drill_owner: string;
  drill: string;
  revision: number;
  stage: number;
  ladder_start: number;
  mirrored: number;
  started_at: Date;
  result: unknown;
  sums: unknown;
  counted: number;
}

/** What a round came to; its sums only where they were asked for. */
export interface ReadResult {
  readonly result: KeptResult['result'];
  readonly sums: KeptResult['sums'] | undefined;
}

/** An ended round without its attempts. */
export interface RoundResultRow {
  readonly id: string;
  /** Tells rounds apart that are not compared: of another text, stage or table as balls feel it. */
  readonly kind: string;
  readonly table: Round['table'];
  readonly drillOwner: string;
  readonly drill: string;
  readonly revision: number;
  readonly stage: number;
  readonly ladderStart: number;
  readonly mirrored: boolean;
  readonly startedAt: Date;
  /** What it came to; undefined for a round from before results, or sums, were kept. */
  readonly kept: ReadResult | undefined;
}

/**
 * The results of a player's ended rounds within a period, oldest first: no attempts, so that a year is read at once. The
 * rounds lead: from the few tables a whole club's rounds would be looked through. Results come as text: many are alike,
 * and read once.
 * @param asked the period, and whether sums are wanted, which take longest to read
 */
export async function listResultsOfPlayer(
  db: Database,
  clubId: string,
  playerId: string,
  asked: { readonly from: Date; readonly to: Date; readonly sums: boolean },
): Promise<RoundResultRow[]> {
  const [rows] = await db.execute<ResultRow[]>(
    `SELECT r.id, r.table_id, t.name AS table_name, t.preset, r.table_revision, r.conditions_id, r.table_fingerprint,
       r.drill_owner, r.drill, r.revision, r.stage, r.ladder_start, r.mirrored, r.started_at, CAST(r.result AS CHAR) AS result,
       ${asked.sums ? 'r.sums' : 'NULL'} AS sums, r.result IS NOT NULL AND r.sums IS NOT NULL AS counted
     FROM rounds r FORCE INDEX (PRIMARY) STRAIGHT_JOIN tables t ON t.id = r.table_id
     WHERE r.club_id = ? AND r.player_id = ? AND r.removed_at IS NULL AND r.ended_at IS NOT NULL
       AND r.started_at BETWEEN ? AND ?
     ORDER BY r.started_at`,
    [clubId, playerId, asked.from, asked.to],
  );
  return rows.map((row) => ({
    id: row.id,
    kind: `${row.drill_owner}|${row.drill}|${String(row.revision)}|${String(row.stage)}|${row.table_fingerprint}`,
    table: {
      id: row.table_id,
      name: row.table_name,
      preset: row.preset,
      revision: row.table_revision,
      conditionsId: row.conditions_id,
      fingerprint: row.table_fingerprint,
    },
    drillOwner: row.drill_owner,
    drill: row.drill,
    revision: row.revision,
    stage: row.stage,
    ladderStart: row.ladder_start,
    mirrored: row.mirrored === 1,
    startedAt: row.started_at,
    kept:
      row.counted !== 1
        ? undefined
        : readable('rounds', row.id, () => ({
            result: fromStored('result', row.result),
            sums: row.sums === null ? undefined : fromStored('sums', row.sums),
          })),
  }));
}

interface KindRow extends RowDataPacket {
  id: string;
  player_id: string;
  result: unknown;
}

/** The kept results of a club's ended rounds of one kind: the same text, stage, rung and table as balls feel it. */
export async function listResultsOfKind(
  db: Database,
  clubId: string,
  key: Pick<BenchmarkKey, 'owner' | 'drill' | 'revision' | 'stage' | 'ladderStart' | 'tableFingerprint'>,
): Promise<readonly { readonly playerId: string; readonly result: Round['result'] }[]> {
  const [rows] = await db.execute<KindRow[]>(
    `SELECT id, player_id, result FROM rounds
     WHERE club_id = ? AND drill_owner = ? AND drill = ? AND revision = ? AND stage = ? AND ladder_start = ?
       AND table_fingerprint = ? AND removed_at IS NULL AND ended_at IS NOT NULL AND result IS NOT NULL`,
    [clubId, key.owner, key.drill, key.revision, key.stage, key.ladderStart, key.tableFingerprint],
  );
  return readableRows('rounds', rows, (row) => ({
    playerId: row.player_id,
    result: fromStored('result', row.result),
  }));
}
