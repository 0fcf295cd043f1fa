import { expect, it } from 'vitest';
import { backward } from './backward.ts';

it('backward maps light up where a natural stroke does what is wanted', () => {
  const figures = new Map(backward({ seed: 606, size: 0.12 }).map(({ name, value }) => [name, value]));
  expect(figures.get('backward.places')).toBeGreaterThan(30);
  expect(figures.get('backward.missed')).toBeLessThan(6);
});
