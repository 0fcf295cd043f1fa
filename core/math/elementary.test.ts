import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { cosine, exponential, logarithm, sine } from './elementary.ts';

const EPSILON = 2 ** -52;

describe('elementary functions agree with the platform’s', () => {
  const random = createRandom(7);
  const draws = Array.from({ length: 20_000 }, () => random.uniform());

  it('sine and cosine, near and far from zero', () => {
    const angles = draws.flatMap((u) => [(u - 0.5) * 2 * Math.PI, (u - 0.5) * 2000]);
    expect(Math.max(...angles.map((x) => Math.abs(sine(x) - Math.sin(x))))).toBeLessThanOrEqual(2 * EPSILON);
    expect(Math.max(...angles.map((x) => Math.abs(cosine(x) - Math.cos(x))))).toBeLessThanOrEqual(
      2 * EPSILON,
    );
    expect([sine(0), cosine(0)]).toEqual([0, 1]);
    expect(cosine(Math.PI / 2)).toBeCloseTo(0, 15);
  });

  it('exponential and logarithm', () => {
    const powers = draws.map((u) => (u - 0.5) * 80);
    const off = powers.map((x) => Math.abs(exponential(x) / Math.exp(x) - 1));
    expect(Math.max(...off)).toBeLessThanOrEqual(4 * EPSILON);
    const logOff = powers.map((x) => {
      const y = Math.exp(x);
      return Math.abs(logarithm(y) - Math.log(y)) / Math.max(1, Math.abs(x));
    });
    expect(Math.max(...logOff)).toBeLessThanOrEqual(4 * EPSILON);
    expect([exponential(0), logarithm(1)]).toEqual([1, 0]);
    expect(logarithm(8)).toBeCloseTo(3 * Math.LN2, 15);
  });
});
