import type { Benchmark } from '../records/benchmark.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import type { Drill } from '../records/drill.ts';
import { levelMean } from './benchmark.ts';

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

/**
 * How well a round of a benchmark tells levels apart: means against the spread of rounds (Cohen's d of neighbours), and
 * whether they differ by more than chance.
 * @param shots of a round, ≥ 1, where it is a sum of single executions; else 1
 * @throws RangeError when a level is missing
 */
export function separationOf(benchmark: Benchmark, shots: number): Separation {
  const sign = benchmark.better === 'low' ? -1 : 1;
  const levels = benchmark.levels.map(({ round }) => levelMean(benchmark, round, shots));
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
