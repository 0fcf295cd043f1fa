import { expect, it } from 'vitest';
import { shares } from './shares.ts';

it('shares of causes lie within their intervals, without leaning', () => {
  const figures = new Map(shares({ seed: 707, size: 0.3 }).map(({ name, value }) => [name, value]));
  expect(figures.get('shares.inside')).toBeGreaterThan(72);
  expect(Math.abs(figures.get('shares.bias') ?? NaN)).toBeLessThan(4);
});
