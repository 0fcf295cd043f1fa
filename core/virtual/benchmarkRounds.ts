import { planShot } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import { atStage } from '../drill/stage.ts';
import type { RoundResult } from '../counting/result.ts';
import { LEVEL_NAMES, type LevelName } from '../player/levels.ts';
import type { Benchmark, LevelBenchmark } from '../records/benchmark.ts';
import type { Drill } from '../records/drill.ts';
import { benchmarkLevel, benchmarkScore, EXECUTIONS_PER_LEVEL } from '../scoring/benchmark.ts';
import type { Table } from '../table/table.ts';
import { virtualRounds, wholeRound, type VirtualRounds } from './playRound.ts';

/** Whole rounds that the virtual player of each level plays; of clearances fewer: each is many planned shots. */
export const ROUNDS_PER_LEVEL = 200;
const CLEARANCES_PER_LEVEL = 30;
/** Rounds that are played at a time, and kept when they are done. */
const ROUNDS_PER_PART = 10;
const SEED = 4610;

/** A piece of a benchmark that is computed at a time: some rounds of one level. */
export interface BenchmarkPart {
  readonly level: LevelName;
  /** Seeds of its rounds; empty where single executions say all, as in position drills. */
  readonly seeds: readonly number[];
}

/** What a part came to: the results of its rounds, or all that is to know of the level. */
export type PartResult =
  | { readonly kind: 'rounds'; readonly results: readonly RoundResult[] }
  | { readonly kind: 'level'; readonly level: LevelBenchmark };

/** The parts of a drill's benchmark, in the order in which they are computed: each level comes to some rounds early. */
export function benchmarkParts(base: Drill, stage: number): readonly BenchmarkPart[] {
  if (isPositionDrill(atStage(base, stage))) return LEVEL_NAMES.map((level) => ({ level, seeds: [] }));
  const rounds = base.task.kind === 'clear' ? CLEARANCES_PER_LEVEL : ROUNDS_PER_LEVEL;
  return Array.from({ length: rounds / ROUNDS_PER_PART }, (_, batch) =>
    LEVEL_NAMES.map((level) => ({
      level,
      seeds: Array.from({ length: ROUNDS_PER_PART }, (_each, k) => SEED + batch * ROUNDS_PER_PART + k),
    })),
  ).flat();
}

/**
 * Computes one part. Same drill, stage, table and part, same result, wherever it is computed.
 * @param roundsOf gives the rounds of the part's level, for whoever has planned them before, or begins on another rung
 * @throws RangeError for a drill that asks for a call; UnplayableDrillError for one that this table does not allow
 */
export function computePart(
  base: Drill,
  stage: number,
  table: Table,
  { level, seeds }: BenchmarkPart,
  roundsOf: () => VirtualRounds = () => virtualRounds(base, { stage, ladderStart: 0 }, table, level),
): PartResult {
  const drill = atStage(base, stage);
  const chosen = drill.stages[stage - 1];
  if (isPositionDrill(drill) && chosen !== undefined) {
    const seed = SEED + LEVEL_NAMES.indexOf(level);
    return { kind: 'level', level: benchmarkLevel(drill, chosen, planShot(drill, table), level, seed) };
  }
  const rounds = roundsOf();
  return { kind: 'rounds', results: seeds.map((seed) => wholeRound(rounds, seed).result) };
}

/**
 * The benchmark of which all parts are there: of whole rounds the share of each score.
 * @param parts with their results, in any order
 * @throws RangeError when a level has no result
 */
export function joinParts(
  parts: readonly { readonly part: BenchmarkPart; readonly result: PartResult }[],
): Benchmark {
  const single = parts.flatMap(({ result }) => (result.kind === 'level' ? [result.level] : []));
  if (single.length > 0) {
    const levels = LEVEL_NAMES.flatMap((name) => single.find(({ level }) => level === name) ?? []);
    return { executions: EXECUTIONS_PER_LEVEL, wholeRounds: false, unit: 'points', better: 'high', levels };
  }
  const byLevel = LEVEL_NAMES.map((name) =>
    parts.flatMap(({ part, result }) =>
      part.level === name && result.kind === 'rounds' ? [...result.results] : [],
    ),
  );
  const first = byLevel[0]?.[0];
  const fewest = Math.min(...byLevel.map((results) => results.length));
  if (first === undefined || fewest === 0) throw new RangeError('joinParts: a level has no result');
  const scores = byLevel.map((results) => results.map(benchmarkScore));
  // One length for all, so that distributions of neighbouring levels can be mixed.
  const longest = Math.max(1, ...scores.flat(), first.maximum ?? 0) + 1;
  return {
    executions: fewest,
    wholeRounds: true,
    unit: first.unit,
    better: first.better,
    levels: LEVEL_NAMES.map((level, i) => {
      const own = scores[i] ?? [];
      const counts = new Array<number>(longest).fill(0);
      for (const score of own) counts[score] = (counts[score] ?? 0) + 1;
      return { level, potted: null, round: counts.map((count) => count / own.length) };
    }),
  };
}
