import { expect, it } from 'vitest';
import { BLANK_SHOT, type LoggedShot } from '../records/loggedShot.ts';
import { logOf } from '../records/attempt.ts';
import { reviewRound, type ReviewedAttempt } from './roundReview.ts';

const attempt = (
  done: boolean,
  shots: readonly Partial<LoggedShot>[],
  landed?: readonly [number, number],
): ReviewedAttempt => ({
  landing: landed === undefined ? null : { x: 1 + landed[0], y: 0.5 + landed[1] },
  along: landed?.[0] ?? null,
  across: landed?.[1] ?? null,
  log: logOf({ shots: shots.map((about) => ({ ...BLANK_SHOT, ...about })) }),
  counted: { done },
});

it('sums a round up, worked by hand', () => {
  const review = reviewRound([
    attempt(true, [{ side: 'left' }], [0.3, 0]),
    attempt(true, [{ luck: true }], [0.1, 0.2]),
    attempt(true, [{ side: 'none' }, { rescue: true, side: 'right' }], [0.2, -0.2]),
    attempt(false, [{ cause: 'thick' }]),
    attempt(false, [{ cause: 'wrong choice' }, { cause: 'thick' }]),
  ]);
  expect(review.landings?.bias.along).toBeCloseTo(0.2, 12);
  expect(review.landings?.bias.across).toBeCloseTo(0, 12);
  expect(review.landings?.half?.centre.x).toBeCloseTo(1.2, 12);
  expect(review).toMatchObject({
    causes: [
      { cause: 'thick', count: 2 },
      { cause: 'wrong choice', count: 1 },
    ],
    decisions: 1,
    execution: 2,
    shots: 7,
    withSide: 2,
    lucky: 1,
    rescues: 1,
    clean: 1,
    rescued: 2,
  });
});

it('says nothing of landings where there are none, and draws no ellipse around two', () => {
  expect(reviewRound([attempt(false, [{}])]).landings).toBeUndefined();
  const two = reviewRound([attempt(true, [{}], [0.1, 0]), attempt(true, [{}], [0.2, 0])]);
  expect(two.landings?.half).toBeUndefined();
});
