import { expect, it } from 'vitest';
import type { RuleOfThumb, ThumbStretch } from '../../core/virtual/rulesOfThumb.ts';
import { thumbWords } from './thumbWords.ts';

const rule = (...stretches: readonly ThumbStretch[]): RuleOfThumb => ({
  school: 'side spin',
  ways: ['plain', 'running side'],
  cutDeg: 20,
  points: [],
  stretches,
});
const crossing = (until: number) => rule({ way: 'plain', until }, { way: 'running side', until: undefined });

it('a rule says where one way ends and the other begins, with the interval of the rating', () => {
  expect(thumbWords(crossing(1.52), [crossing(1.31), crossing(1.7)])).toBe(
    '20° cut: plain up to 1.5 m (1.3 to 1.7), running side beyond.',
  );
  const always = rule({ way: 'plain', until: undefined });
  expect(thumbWords(always, [always, always])).toBe('20° cut: plain at every distance.');
  expect(thumbWords(always, [always, crossing(2)])).toBe(
    '20° cut: plain at every distance. Within the interval of the rating it may be otherwise.',
  );
  expect(thumbWords(rule(), [])).toBe('20° cut: plain and running side do equally well.');
});
