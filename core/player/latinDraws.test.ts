import { describe, expect, it } from 'vitest';
import { normalCdf } from '../math/normal.ts';
import { latinDraws } from './latinDraws.ts';

describe('draws of a Latin hypercube', () => {
  const draws = latinDraws(50, 9);

  it('take every fiftieth of each error’s distribution once', () => {
    for (const part of ['line', 'pace', 'side', 'height', 'elevation'] as const) {
      const shares = draws.map((draw) => normalCdf(draw[part])).sort((a, b) => a - b);
      shares.forEach((share, k) => expect(share).toBeCloseTo((k + 0.5) / 50, 6));
    }
  });

  it('come in an order of their own for each error, the same from the same seed', () => {
    expect(latinDraws(50, 9)).toEqual(draws);
    expect(draws.map(({ line }) => line)).not.toEqual(draws.map(({ pace }) => pace));
    const mean = draws.reduce((sum, { line, pace }) => sum + line * pace, 0) / 50;
    expect(Math.abs(mean)).toBeLessThan(0.4);
  });
});
