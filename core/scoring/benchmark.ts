import type { PlannedShot } from '../drill/plannedShot.ts';
import { landingCloud } from '../planning/cloud.ts';
import { errorAsCued } from '../player/asCued.ts';
import { executionErrorOf, LEVEL_NAMES, type LevelName } from '../player/levels.ts';
import type { Benchmark, LevelBenchmark } from '../records/benchmark.ts';
import type { PositionDrill } from '../drill/positionDrill.ts';
import type { DrillStage } from '../records/drill.ts';
import {
  expectation,
  medianOf,
  midRankPercentile,
  sumOfDraws,
  type Distribution,
} from '../statistics/distribution.ts';
import { Z_90 } from '../statistics/wilson.ts';
import { zonePoints } from './zonePoints.ts';
import { mostPoints } from '../counting/bands.ts';
import type { RoundResult } from '../counting/result.ts';

/** Single executions by the virtual player of each level. */
export const EXECUTIONS_PER_LEVEL = 2_000;

/**
 * The benchmark of one level: the virtual player plays the shot often, and the round's distribution is that of
 * the sum of its shots, which are independent.
 * @param seed same seed, same benchmark
 */
export function benchmarkLevel(
  drill: PositionDrill,
  stage: DrillStage,
  planned: PlannedShot,
  level: LevelName,
  seed: number,
): LevelBenchmark {
  const error = errorAsCued(planned.shot, executionErrorOf(level, planned.shot.table.preset.game));
  const task = { object: drill.task.pot, pocket: drill.task.pocket };
  const cloud = landingCloud(planned.shot, task, error, EXECUTIONS_PER_LEVEL, seed);
  const perShot = new Array<number>(mostPoints(stage.bands) + 1).fill(0);
  let potted = 0;
  for (const { outcome, landing } of cloud) {
    const points = zonePoints(outcome, landing, planned.window, stage.bands);
    perShot[points] = perShot[points]! + 1 / cloud.length;
    if (outcome === 'potted') potted += 1 / cloud.length;
  }
  return { level, potted, round: [...sumOfDraws(perShot, drill.scoring.shots)] };
}

/**
 * The benchmark of a single-shot drill, level by level: after each the share that is done, 0…1, at the end all five.
 * @param seed same seed, same benchmark
 */
export function* benchmarkLevels(
  drill: PositionDrill,
  stage: DrillStage,
  planned: PlannedShot,
  seed: number,
): Generator<number, Benchmark> {
  const levels: LevelBenchmark[] = [];
  for (const [i, level] of LEVEL_NAMES.entries()) {
    levels.push(benchmarkLevel(drill, stage, planned, level, seed + i));
    yield (i + 1) / LEVEL_NAMES.length;
  }
  return { executions: EXECUTIONS_PER_LEVEL, wholeRounds: false, unit: 'points', better: 'high', levels };
}

/** The benchmark of a single-shot drill: all five levels at once. */
export function benchmarkDrill(
  drill: PositionDrill,
  stage: DrillStage,
  planned: PlannedShot,
  seed: number,
): Benchmark {
  const levels = benchmarkLevels(drill, stage, planned, seed);
  for (;;) {
    const next = levels.next();
    if (next.done === true) return next.value;
  }
}

/**
 * A result as a whole number from 0 up, as benchmarks count it: a round that was given up counts one worse than where it
 * was cut off, and a score below zero as zero.
 */
export function benchmarkScore({ value, better, censored }: RoundResult): number {
  const score = Math.max(0, Math.round(value));
  return censored && better === 'low' ? score + 1 : score;
}

/** What a level scores in a round, in the units of the benchmark's scores. */
export interface LevelMean {
  readonly mean: number;
  /** Of a round. */
  readonly variance: number;
  /** Standard error of the mean, by how many rounds or shots it comes from. */
  readonly error: number;
}

/**
 * The mean of a level's round, with its standard error.
 * @param round probability of each score from 0 up
 * @param shots of a round, ≥ 1, where it is a sum of single executions
 */
export function levelMean(
  { executions, wholeRounds }: Pick<Benchmark, 'executions' | 'wholeRounds'>,
  round: Distribution,
  shots: number,
): LevelMean {
  const mean = expectation(round);
  const variance = round.reduce((sum, p, value) => sum + p * (value - mean) ** 2, 0);
  // Of n shots of variance v a round has n·v, and its mean, n times that of the shots, the variance n²·v / executions.
  const drawn = wholeRounds ? variance : shots * variance;
  return { mean, variance, error: Math.sqrt(drawn / executions) };
}

/** Half the width of the 90 % interval of that mean. */
export function meanMargin(
  benchmark: Pick<Benchmark, 'executions' | 'wholeRounds'>,
  round: Distribution,
  shots: number,
): number {
  return Z_90 * levelMean(benchmark, round, shots).error;
}

/** Where a round's score stands among the levels. */
export interface Placing {
  /** The highest level whose median the score reaches; undefined below the first. */
  readonly reached: LevelName | undefined;
  /** The next level up; undefined above the last. */
  readonly next: LevelName | undefined;
  /** The level that the percentile is of: the reached one, or the lowest. */
  readonly of: LevelName;
  /** Mid-rank percentile of the score among that level's rounds, 0…100; higher is better. */
  readonly percentile: number;
}

/** Places the score of a whole round: "between team and match, 70th percentile of team". */
export function placeRound(score: number, benchmark: Benchmark): Placing {
  const low = benchmark.better === 'low';
  const reachedIndex = benchmark.levels.findLastIndex(({ round }) =>
    low ? score <= medianOf(round) : score >= medianOf(round),
  );
  const of = benchmark.levels[Math.max(0, reachedIndex)];
  if (of === undefined) throw new RangeError('placeRound: the benchmark has no levels');
  return {
    reached: reachedIndex < 0 ? undefined : of.level,
    next: benchmark.levels[reachedIndex + 1]?.level,
    of: of.level,
    percentile: low ? 100 - midRankPercentile(of.round, score) : midRankPercentile(of.round, score),
  };
}

export interface ScoreBand {
  readonly level: LevelName;
  readonly from: number;
  readonly to: number;
}

/** The stretch of scores nearest to each level's expected round, from 0 to the maximum; of levels that score alike the
 * upper one's is empty. */
export function scoreBands(benchmark: Benchmark, maximum: number): readonly ScoreBand[] {
  const expected = benchmark.levels.map((level) => expectation(level.round));
  const [worst, best] = benchmark.better === 'low' ? [maximum, 0] : [0, maximum];
  return benchmark.levels.map(({ level }, i) => {
    const below = i === 0 ? worst : (expected[i - 1]! + expected[i]!) / 2;
    const above = i === expected.length - 1 ? best : (expected[i]! + expected[i + 1]!) / 2;
    return { level, from: Math.min(below, above), to: Math.max(below, above) };
  });
}
