import { compareResults } from '../../core/counting/result.ts';
import type { ClubResults } from '../../core/records/clubResults.ts';
import type { Role } from '../../core/records/account.ts';
import type { BenchmarkKey } from '../db/queries/benchmarks.ts';
import { listResultsOfKind } from '../db/queries/results.ts';
import type { Database } from '../db/pool.ts';

/** Of fewer players a player is not shown the club's results: they would be somebody's. */
const FEWEST_PLAYERS = 3;

/**
 * What the club's players have scored in complete rounds of a kind; undefined for none, and for a player who could tell
 * whose they are.
 */
export async function clubResults(
  db: Database,
  clubId: string,
  key: BenchmarkKey,
  role: Role,
): Promise<ClubResults | undefined> {
  const rows = await listResultsOfKind(db, clubId, key);
  const complete = rows.filter(({ result }) => result.complete);
  const players = new Set(complete.map(({ playerId }) => playerId)).size;
  if (complete.length === 0 || (role === 'player' && players < FEWEST_PLAYERS)) return undefined;
  const sorted = complete.map(({ result }) => result).sort((a, b) => compareResults(b, a));
  const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))];
  return {
    players,
    rounds: complete.length,
    best: at(1) ?? null,
    quartiles: [at(0.25), at(0.5), at(0.75)].flatMap((each) => each ?? []),
  };
}
