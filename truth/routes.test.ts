import { expect, it } from 'vitest';
import { routes } from './routes.ts';

it('routes claim what fresh executions give', () => {
  const figures = new Map(routes({ seed: 404, size: 0.03 }).map(({ name, value }) => [name, value]));
  expect(figures.get('routes.tasks')).toBe(6);
  // Single claims scatter by a point and a half: the mean of six by six tenths.
  expect(Math.abs(figures.get('routes.claim') ?? NaN)).toBeLessThan(2);
  expect(figures.get('routes.claim.spread')).toBeLessThan(4);
});
