import { describe, expect, it } from 'vitest';
import { LEVEL_NAMES } from '../player/levels.ts';
import type { Benchmark } from '../records/benchmark.ts';
import { fitnessOf } from './fitness.ts';
import { separationOf } from './separation.ts';

/** Levels that score a bell of the same width around these means, of whole rounds. */
function benchmarkAround(
  means: readonly number[],
  more: Partial<Pick<Benchmark, 'executions' | 'better' | 'wholeRounds'>> = {},
): Benchmark {
  return {
    executions: 200,
    wholeRounds: true,
    unit: 'points',
    better: 'high',
    levels: means.map((mean, i) => {
      const bell = Array.from({ length: 41 }, (_, score) => Math.exp(-0.5 * ((score - mean) / 3) ** 2));
      const whole = bell.reduce((sum, p) => sum + p, 0);
      return { level: LEVEL_NAMES[i] ?? 'team', potted: null, round: bell.map((p) => p / whole) };
    }),
    ...more,
  };
}

describe('how well a drill tells levels apart', () => {
  it('is the way from mean to mean in standard deviations of a round', () => {
    const { steps, apart, tellsApart } = separationOf(benchmarkAround([11, 14, 20, 23, 26]), 1);
    expect(steps.map((step) => Number(step.toFixed(2)))).toEqual([1, 2, 1, 1]);
    expect(apart).toBeCloseTo(1.25, 2);
    expect(tellsApart).toBe(true);
  });

  it('counts fewer as better where they are', () => {
    const falling = benchmarkAround([26, 23, 20, 14, 11], { better: 'low' });
    expect(separationOf(falling, 1).apart).toBeCloseTo(1.25, 2);
    expect(separationOf({ ...falling, better: 'high' }, 1).tellsApart).toBe(false);
  });

  it.each([
    // Standard error of a mean of 200 rounds: 3 / √200 = 0.21; of two 0.3, twice that is 0.6.
    ['three steps of four that are sure', [10, 12, 14, 16, 16.2], true],
    ['two of them only', [10, 12, 14, 14.2, 14.3], false],
    ['a step that surely goes down', [10, 14, 13, 16, 19], false],
    ['a step that may go down by chance', [10, 14, 13.7, 16, 19], true],
  ] as const)('says whether it does: %s', (_, means, tells) => {
    expect(separationOf(benchmarkAround(means), 1).tellsApart).toBe(tells);
  });

  it('knows the mean of ten shots from two thousand worse than that of two thousand rounds', () => {
    const near = benchmarkAround([10, 10.4, 10.8, 11.2, 11.6], { executions: 2_000, wholeRounds: false });
    expect(separationOf(near, 1).tellsApart).toBe(true);
    expect(separationOf(near, 10).tellsApart).toBe(false);
  });

  it('makes it fit to rate by', () => {
    const apart = benchmarkAround([11, 14, 20, 23, 26]);
    const scoring = { method: 'success-rate', attempts: 10 } as const;
    expect(fitnessOf({ scoring }, apart).kind).toBe('fit');
    expect(fitnessOf({ scoring }, benchmarkAround([20, 20, 20, 20, 20])).kind).toBe('tells nothing');
  });
});
