import { expect, it } from 'vitest';
import { speeds } from './speeds.ts';

it('speeds that are heard from made recordings are right, or not told', () => {
  const figures = speeds({ seed: 77, size: 0.06 });
  for (const { name, holds, value } of figures) expect([name, value, holds]).toEqual([name, value, true]);
  // And told often enough to be of use.
  expect(figures.find(({ name }) => name === 'speeds.told')?.value).toBeGreaterThan(0.3);
});
