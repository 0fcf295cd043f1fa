import { expect, it } from 'vitest';
import { windows } from './windows.ts';

it('chances of pots are what playing them out gives', () => {
  const figures = new Map(windows({ seed: 505, size: 0.09 }).map(({ name, value }) => [name, value]));
  expect(figures.get('windows.places')).toBe(90);
  expect(figures.get('windows.off.under-60')).toBeLessThan(0.025);
  expect(figures.get('windows.off')).toBeLessThan(0.04);
  expect(figures.get('windows.off.95')).toBeLessThan(0.12);
  for (const [name, value] of figures) {
    // Thirty places or fewer of a class: their mean scatters by a hundredth.
    if (name.startsWith('windows.bias')) expect([name, Math.abs(value) < 0.04]).toEqual([name, true]);
  }
});
