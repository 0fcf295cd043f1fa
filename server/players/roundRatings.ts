import { isComparable } from '../../core/counting/result.ts';
import type { RoundSummary } from '../../core/records/round.ts';
import { benchmarkScore } from '../../core/scoring/benchmark.ts';
import { knownBenchmarks, textOf } from '../benchmarks/known.ts';
import { benchmarkKey } from '../benchmarks/queue.ts';
import { LIBRARY, readableRevision } from '../db/queries/drills.ts';
import type { RoundHead } from '../db/queries/rounds.ts';
import type { Database } from '../db/pool.ts';
import { levelsOf } from './knownRounds.ts';

/** Rounds in short with what each is worth on the scale of ratings, as far as the levels of its kind are known. */
export async function withRatings(
  db: Database,
  clubId: string,
  heads: readonly RoundHead[],
  summaries: readonly RoundSummary[],
): Promise<RoundSummary[]> {
  const subjects = await Promise.all(
    heads.map(async (head) => {
      const entry = await readableRevision(db, head.ownDrill ? clubId : LIBRARY, head.drill, head.revision);
      return { head, entry, key: entry && benchmarkKey(entry, head, head.table.fingerprint) };
    }),
  );
  const benchmarks = await knownBenchmarks(
    db,
    subjects.flatMap(({ key }) => key ?? []),
  );
  const levels = new Map(
    subjects.map(({ head, entry, key }) => {
      const benchmark = key && benchmarks.get(textOf(key));
      return [head.id, entry && benchmark && levelsOf(entry, head.stage, benchmark)];
    }),
  );
  return summaries.map((summary) => {
    const known = isComparable(summary.result) ? levels.get(summary.id) : undefined;
    return { ...summary, rating: known?.scale(benchmarkScore(summary.result)) ?? null };
  });
}
