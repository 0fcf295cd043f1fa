import { expect, it } from 'vitest';
import type { NextDrill } from '../../core/records/nextDrill.ts';
import { nextDrillWords } from './nextDrillWords.ts';

const proposal: NextDrill = {
  drill: 'nine-firm',
  stage: 1,
  skill: 'break',
  behind: 12.4,
  isSurelyBehind: true,
  shows: 0.5,
  restDays: 9.2,
  course: 'open',
};

it('a proposal says what speaks for it in one sentence', () => {
  expect(nextDrillWords(proposal)).toBe(
    'Break lies about 12 points behind the other skills; a step forward would show in it; last played 9 days ago.',
  );
  // From 9 to 57 is no 12 points behind.
  expect(nextDrillWords({ ...proposal, isSurelyBehind: false })).toBe(
    'Break may lie behind the other skills; a step forward would show in it; last played 9 days ago.',
  );
  expect(nextDrillWords({ ...proposal, behind: null, shows: null, restDays: null })).toBe(
    'Break is not rated yet; not played yet.',
  );
  expect(nextDrillWords({ ...proposal, behind: -5, shows: 0.1, restDays: 0.2, course: 'plateau' })).toBe(
    'It trains break; it has come to a plateau; last played today.',
  );
});
