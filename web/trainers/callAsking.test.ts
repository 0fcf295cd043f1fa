import { expect, it } from 'vitest';
import { askingFrom } from './callAsking.ts';

it('an address says what is asked for', () => {
  expect(askingFrom(new URLSearchParams('kind=does it pass&level=fair&table=snooker-12ft'))).toEqual({
    kind: 'does it pass',
    difficulty: 'fair',
    preset: 'snooker-12ft',
  });
  expect(askingFrom(new URLSearchParams('level=library')).difficulty).toBe('library');
});

it('what an address does not say, or says wrongly, is as the page begins', () => {
  const begun = { kind: 'in-off or not', difficulty: 'plain', preset: 'pool-9ft' };
  expect(askingFrom(new URLSearchParams())).toEqual(begun);
  expect(askingFrom(new URLSearchParams('kind=guess&level=impossible&table=billiards'))).toEqual(begun);
});
