import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { highestDensity, LEVEL_GRID, LevelFilter, meanOf, quantileOf } from './levelFilter.ts';

const normal = (at: number, deviation: number) => (level: number) =>
  Math.exp(-0.5 * ((level - at) / deviation) ** 2);
const steady = { slopes: [0], shares: [1], lasts: 1e9, scatter: 0 };

describe('a level that is followed', () => {
  it('is, while it cannot move, what Bayes makes of all that was seen: the means of normal errors', () => {
    const filter = new LevelFilter(steady, normal(50, 15));
    const seen = [40, 52, 47, 61, 44, 50];
    for (const [day, value] of seen.entries()) {
      filter.passTo(day);
      filter.see(LEVEL_GRID.map(normal(value, 9)));
    }
    // Precisions add up: of the prior and of each value.
    const precision = 1 / 15 ** 2 + seen.length / 9 ** 2;
    const mean = (50 / 15 ** 2 + seen.reduce((sum, value) => sum + value, 0) / 9 ** 2) / precision;
    const known = meanOf(filter.belief().levels);
    expect(known.mean).toBeCloseTo(mean, 3);
    expect(known.deviation).toBeCloseTo(1 / Math.sqrt(precision), 2);
  });

  it('drifts by its slope and is not blurred by it, in whatever steps time passes', () => {
    for (const steps of [1, 3, 30]) {
      const filter = new LevelFilter({ ...steady, slopes: [0.37] }, normal(30, 6));
      for (let k = 0; k <= steps; k++) filter.passTo((60 * k) / steps);
      const known = meanOf(filter.belief().levels);
      expect(known.mean).toBeCloseTo(30 + 0.37 * 60, 1);
      expect(known.deviation).toBeGreaterThan(5.9);
      expect(known.deviation).toBeLessThan(6.2);
    }
  });

  it('widens with time like a random walk', () => {
    const filter = new LevelFilter({ ...steady, scatter: 1 }, normal(50, 4));
    filter.passTo(0);
    filter.passTo(49);
    expect(meanOf(filter.belief().levels).deviation).toBeCloseTo(Math.hypot(4, 7), 1);
  });

  it('agrees with playing out thousands of such levels and keeping those that were seen so', () => {
    // Brute force: levels that go up or stay, change their mind once in a while, and are seen three times.
    const motion = { slopes: [0, 0.5], shares: [0.6, 0.4], lasts: 40, scatter: 0 };
    const seen: readonly (readonly [day: number, value: number])[] = [
      [0, 40],
      [30, 47],
      [60, 66],
    ];
    const filter = new LevelFilter(motion, normal(45, 10));
    for (const [day, value] of seen) {
      filter.passTo(day);
      filter.see(LEVEL_GRID.map(normal(value, 6)));
    }
    const random = createRandom(8);
    let [weights, levels, rising] = [0, 0, 0];
    for (let k = 0; k < 60_000; k++) {
      let level = 45 + 10 * random.normal();
      let slope = random.uniform() < 0.4 ? 0.5 : 0;
      let weight = 1;
      for (let day = 0; day <= 60; day++) {
        if (day > 0) level += slope;
        if (day > 0 && random.uniform() < 1 - Math.exp(-1 / 40)) slope = random.uniform() < 0.4 ? 0.5 : 0;
        const value = seen.find(([at]) => at === day)?.[1];
        if (value !== undefined) weight *= normal(value, 6)(level);
      }
      weights += weight;
      levels += weight * level;
      if (slope > 0) rising += weight;
    }
    const known = filter.belief();
    expect(meanOf(known.levels).mean).toBeCloseTo(levels / weights, 0);
    expect(Math.abs((known.slopes[1] ?? 0) - rising / weights)).toBeLessThan(0.04);
  });

  it('refuses what is impossible at every level', () => {
    const filter = new LevelFilter(steady, () => 1);
    expect(() => filter.see(LEVEL_GRID.map(() => 0))).toThrow('impossible');
  });
});

describe('what a distribution says', () => {
  it('has its quantiles, and the stretch of highest density, which reaches the end of the scale', () => {
    const middle = LEVEL_GRID.map(normal(50, 10));
    expect(quantileOf(middle, 0.5)).toBeCloseTo(50, 0);
    expect(quantileOf(middle, 0.05)).toBeCloseTo(50 - 16.4, 0);
    const { low, high } = highestDensity(middle, 0.9);
    expect(low).toBeCloseTo(50 - 16.4, 0);
    expect(high).toBeCloseTo(50 + 16.4, 0);
    expect(highestDensity(LEVEL_GRID.map(normal(0, 8)), 0.9).low).toBe(0);
    expect(highestDensity(LEVEL_GRID.map(normal(104, 8)), 0.9).high).toBe(100);
  });
});
