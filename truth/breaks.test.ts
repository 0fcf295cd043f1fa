import { expect, it } from 'vitest';
import { breaks } from './breaks.ts';

it('breaks leave balls that can be played on, and wing balls fall as gaps have it', () => {
  const figures = breaks({ seed: 606, size: 0.02 });
  expect(figures.find(({ name }) => name === 'breaks.played')?.value).toBe(400);
  for (const { name, holds, value } of figures) {
    // Of twenty breaks a share from the other side scatters by a tenth and more.
    if (name !== 'breaks.mirror') expect([name, value, holds]).toEqual([name, value, true]);
  }
});
