import { expect, it } from 'vitest';
import { clockAt, insteadWords, minutesTo, wantWords } from './eveningWords.ts';

it('tells the time on the clock, over midnight, too', () => {
  expect(clockAt('18:30', 0)).toBe('18:30');
  expect(clockAt('18:30', 50)).toBe('19:20');
  expect(clockAt('23:50', 20)).toBe('00:10');
  for (const minutes of [0, 35, 90, 600]) expect(minutesTo('18:30', clockAt('18:30', minutes))).toBe(minutes);
});

it('says why there is a turn, and what another would cost', () => {
  const want = {
    drill: 'harbour-turn',
    stage: 1,
    kind: 'main',
    skill: 'break',
    gain: 0.5,
    tables: [],
    behind: 12,
    isSurelyBehind: true,
    shows: null,
    restDays: null,
    course: null,
  } as const;
  expect(wantWords({ ...want, tables: [] })).toBe(
    'Break lies about 12 points behind the other skills; not played yet.',
  );
  expect(wantWords({ ...want, tables: [], kind: 'warm-up' })).toBe('To warm up: this goes well already.');
  expect(insteadWords('Pim', 0.03)).toBe('Pim here instead: the evening would be worth 3 % less.');
  expect(insteadWords('Pim', 0.001)).toBe('Pim here instead would be as good.');
});
