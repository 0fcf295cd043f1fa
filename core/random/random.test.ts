import { describe, expect, it } from 'vitest';
import { mean } from '../statistics/summary.ts';
import { createRandom } from './random.ts';

const draw = (n: number, next: () => number) => Array.from({ length: n }, next);

describe('createRandom', () => {
  it('repeats itself for the same seed and not for another', () => {
    const a = createRandom(5);
    const b = createRandom(5);
    const c = createRandom(6);
    const first = draw(20, a.uniform);
    expect(draw(20, b.uniform)).toEqual(first);
    expect(draw(20, c.uniform)).not.toEqual(first);
  });

  it('gives uniform numbers in [0, 1) with the right mean and spread', () => {
    const u = draw(20_000, createRandom(1).uniform);
    expect(Math.min(...u)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...u)).toBeLessThan(1);
    expect(mean(u)).toBeCloseTo(0.5, 1.7);
    // Each tenth of the range holds a tenth of the draws, within five standard errors.
    for (let k = 0; k < 10; k++) {
      const inside = u.filter((x) => Math.floor(10 * x) === k).length;
      expect(Math.abs(inside - 2000)).toBeLessThan(5 * Math.sqrt(20_000 * 0.09));
    }
  });

  it('gives standard normals: mean 0, variance 1, 4.55 % beyond two', () => {
    const z = draw(40_000, createRandom(2).normal);
    expect(Math.abs(mean(z))).toBeLessThan(5 / Math.sqrt(40_000));
    expect(Math.abs(mean(z.map((x) => x * x)) - 1)).toBeLessThan(5 * Math.sqrt(2 / 40_000));
    const beyond = z.filter((x) => Math.abs(x) > 2).length / z.length;
    expect(Math.abs(beyond - 0.0455)).toBeLessThan(0.006);
  });

  it('forks streams that do not depend on what was drawn before', () => {
    const a = createRandom(3);
    const early = a.fork(1).uniform();
    draw(100, a.uniform);
    expect(a.fork(1).uniform()).toBe(early);
    expect(a.fork(2).uniform()).not.toBe(early);
  });
});
