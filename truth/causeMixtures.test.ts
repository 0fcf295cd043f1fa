import { expect, it } from 'vitest';
import { causeMixtures } from './causeMixtures.ts';

it('shares of causes lie within their intervals, without leaning', () => {
  const figures = new Map(causeMixtures({ seed: 707, size: 0.3 }).map(({ name, value }) => [name, value]));
  expect(figures.get('causes.shares.inside')).toBeGreaterThan(72);
  expect(Math.abs(figures.get('causes.shares.bias') ?? NaN)).toBeLessThan(4);
}, 90_000);
