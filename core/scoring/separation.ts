import type { Benchmark } from '../records/benchmark.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import type { Drill } from '../records/drill.ts';
import { expectation, type Distribution } from '../statistics/distribution.ts';

/** How well a round tells neighbouring levels apart. */
export interface Separation {
  /** From each level to the next: how much better its mean is, in standard deviations of a round; four of them. */
  readonly steps: readonly number[];
  /** The mean of the steps. */
  readonly apart: number;
  /** Most steps are better than chance, and none is worse: fit to rate by. */
  readonly tellsApart: boolean;
}

/** A step counts from so many standard errors on. */
const SURE = 2;
/** So many steps of the four have to count. */
const LEAST_STEPS = 3;

interface Level {
  readonly mean: number;
  readonly variance: number;
  /** Of the mean. */
  readonly error: number;
}

function levelOf(round: Distribution, benchmark: Benchmark, shots: number): Level {
  const mean = expectation(round);
  const variance = round.reduce((sum, p, value) => sum + p * (value - mean) ** 2, 0);
  // Of n shots of variance v a round has n·v, and its mean, n times that of the shots, the variance n²·v / executions.
  const drawn = benchmark.wholeRounds ? variance : shots * variance;
  return { mean, variance, error: Math.sqrt(drawn / benchmark.executions) };
}

/**
 * How well a round of a benchmark tells levels apart.
 * @param shots of a round, where it is a sum of single executions; else 1
 */
export function separationOf(benchmark: Benchmark, shots: number): Separation {
  const sign = benchmark.better === 'low' ? -1 : 1;
  const levels = benchmark.levels.map(({ round }) => levelOf(round, benchmark, shots));
  const pairs = LEVEL_NAMES.slice(1).map((_, i) => {
    const [a, b] = [levels[i], levels[i + 1]];
    if (a === undefined || b === undefined) throw new RangeError('separationOf: a level is missing');
    const better = sign * (b.mean - a.mean);
    const spread = Math.sqrt((a.variance + b.variance) / 2);
    return {
      step: spread === 0 ? 0 : better / spread,
      sure: Math.sign(better) * Number(Math.abs(better) > SURE * Math.hypot(a.error, b.error)),
    };
  });
  const steps = pairs.map(({ step }) => step);
  return {
    steps,
    apart: steps.reduce((sum, step) => sum + step, 0) / steps.length,
    tellsApart:
      pairs.filter(({ sure }) => sure > 0).length >= LEAST_STEPS && pairs.every(({ sure }) => sure >= 0),
  };
}

/** Shots of a round of a drill, where a round is a sum of single executions; else 1. */
export function shotsOfRound({ scoring }: Pick<Drill, 'scoring'>): number {
  return scoring.method === 'zone-points' ? scoring.shots : 1;
}
