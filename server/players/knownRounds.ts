import { atStage } from '../../core/drill/stage.ts';
import { isComparable } from '../../core/counting/result.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { Skill } from '../../core/records/drill.ts';
import { fitnessOf } from '../../core/scoring/fitness.ts';
import { benchmarkScore } from '../../core/scoring/benchmark.ts';
import { ratingScale, type ProgressPoint } from '../../core/scoring/progress.ts';
import type { Distribution } from '../../core/statistics/distribution.ts';
import { knownBenchmarks, textOf } from '../benchmarks/known.ts';
import { benchmarkKey } from '../benchmarks/queue.ts';
import { readableRevision, type StoredDrill } from '../db/queries/drills.ts';
import type { ReadResult, RoundResultRow } from '../db/queries/results.ts';
import type { Database } from '../db/pool.ts';
import { keptResults } from './keptResults.ts';

const DAY_MS = 86_400_000;

/** How virtual players of the five levels score, with what follows from it. */
export interface KnownLevels {
  readonly rounds: readonly Distribution[];
  /** The rating whose expected score a score is. */
  readonly scale: (score: number) => number;
}

/** Worked out once for each benchmark that this process remembers: players of a club play the same drills. */
const levelsKnown = new WeakMap<Benchmark, KnownLevels | 'unfit'>();

/** The levels of a stage of a drill, if they tell players apart: only then the drill judges anybody. */
export function levelsOf(
  { document }: StoredDrill,
  stage: number,
  benchmark: Benchmark,
): KnownLevels | undefined {
  const rounds = benchmark.levels.map(({ round }) => round);
  const fits = () => fitnessOf(atStage(document, stage), benchmark).kind === 'fit';
  const known =
    levelsKnown.get(benchmark) ?? (fits() ? { rounds, scale: ratingScale(rounds) } : ('unfit' as const));
  levelsKnown.set(benchmark, known);
  return known === 'unfit' ? undefined : known;
}

/** What is known of all rounds of a kind. */
interface KnownKind {
  readonly skills: readonly Skill[];
  /** How virtual players of the five levels score; undefined where none have played it, or where that tells nothing. */
  readonly levels: KnownLevels | undefined;
}

/** A round that counts, with what is known of its kind. */
export interface KnownRound {
  readonly row: RoundResultRow;
  readonly kept: ReadResult;
  readonly kind: KnownKind;
  /** When it was played, days. */
  readonly day: number;
  /** Its result counts among others of its kind. */
  readonly comparable: boolean;
  /** As benchmarks count it. */
  readonly score: number;
  /** On the scale of ratings; undefined where no levels are known. */
  readonly rating: number | undefined;
}

/** Rounds of a kind are judged by one benchmark; on a ladder, those that began on one rung. */
function judgedAs({ kind, ladderStart }: RoundResultRow): string {
  return `${kind}|${String(ladderStart)}`;
}

/** The ended rounds of a period with skills and levels of their kinds, each kind looked up once. */
export async function knownRounds(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  asked: { readonly from: Date; readonly to: Date; readonly sums: boolean },
): Promise<readonly KnownRound[]> {
  const rows = await keptResults(db, player, asked);
  const first = new Map<string, RoundResultRow>();
  for (const { row } of rows) if (!first.has(judgedAs(row))) first.set(judgedAs(row), row);
  const subjects = await Promise.all(
    [...first.values()].map(async (row) => {
      const entry = await readableRevision(db, row.drillOwner, row.drill, row.revision);
      return { row, entry, key: entry && benchmarkKey(entry, row, row.table.fingerprint) };
    }),
  );
  const benchmarks = await knownBenchmarks(
    db,
    subjects.flatMap(({ key }) => key ?? []),
  );
  const kinds = new Map(
    subjects.map(({ row, entry, key }): [string, KnownKind] => {
      const benchmark = key && benchmarks.get(textOf(key));
      const levels = entry && benchmark && levelsOf(entry, row.stage, benchmark);
      return [judgedAs(row), { skills: entry?.document.skills ?? [], levels }];
    }),
  );
  return rows.flatMap(({ row, kept }): KnownRound | [] => {
    const kind = kinds.get(judgedAs(row));
    if (kind === undefined) return [];
    const score = benchmarkScore(kept.result);
    return {
      row,
      kept,
      kind,
      day: row.startedAt.getTime() / DAY_MS,
      comparable: isComparable(kept.result),
      score,
      rating: kind.levels?.scale(score),
    };
  });
}

/** Results on the scale of ratings, as far as their levels are known. */
export function pointsOf(rounds: readonly KnownRound[]): readonly ProgressPoint[] {
  return rounds.flatMap(({ day, rating }) => (rating === undefined ? [] : { day, rating }));
}
