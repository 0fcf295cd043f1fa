import { expect, it } from 'vitest';
import { kicks } from './kicks.ts';

it('lines of kicks are as wide and as sure as they claim', () => {
  const figures = kicks({ seed: 31, size: 0.1 });
  expect(figures.find(({ name }) => name === 'kicks.tables')?.value).toBeGreaterThan(12);
  for (const { name, holds, value } of figures) expect([name, value, holds]).toEqual([name, value, true]);
});
