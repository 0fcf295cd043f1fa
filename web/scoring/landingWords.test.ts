import { expect, it } from 'vitest';
import type { LandingReview } from '../../core/scoring/landing.ts';
import { angleWords, paceWords } from './landingWords.ts';

const review = (change: Partial<LandingReview>): LandingReview => ({
  along: 0,
  across: 0,
  distance: 0,
  angle: { degrees: 0, thickness: 'full', verdict: 'right side' },
  pace: { kind: 'right' },
  ...change,
});

it.each([
  [8.4, 'about 8 % too hard'],
  [-8.4, 'about 8 % too soft'],
  // What is shown at all is never nothing.
  [0.2, 'about 1 % too hard'],
  [-0.2, 'about 1 % too soft'],
])('a pace that is off by %d per cent is %s', (percent, words) => {
  expect(paceWords(review({ pace: { kind: 'off', percent } }))).toBe(words);
});

it('a pace that was right, or explains nothing, says so', () => {
  expect(paceWords(review({}))).toBe('pace right');
  expect(paceWords(review({ pace: { kind: 'cannot tell' } }))).toBe('pace alone does not explain it');
});

it('an angle left is told in whole degrees, whichever way it goes', () => {
  const angle = { degrees: -21.6, thickness: 'half', verdict: 'right side' } as const;
  expect(angleWords(review({ angle }))).toBe('22°, half: right side');
});
