import { describe, expect, it } from 'vitest';
import type { PlannedChoice, PlayedChance } from '../../../core/planning/order/choices.ts';
import type { OrderPlan } from '../../../core/planning/order/orderPlan.ts';
import { wilson } from '../../../core/statistics/wilson.ts';
import { percent } from '../../words/units.ts';
import { adviceWords, chanceWords, rangeWords, wishWords } from './planWords.ts';

const played = (cleared: number, plays: number): PlayedChance => ({ ...wilson(cleared, plays), plays });
const plan = (of: Partial<OrderPlan>): OrderPlan => ({
  cue: { x: 1, y: 0.5 },
  steps: [],
  complete: true,
  keyBall: undefined,
  problems: [],
  choices: [],
  states: 8,
  chance: played(43, 60),
  ends: {},
  ...of,
});
const suit = (chance: PlayedChance): PlannedChoice => ({
  ...chance,
  order: ['1'],
  complete: true,
  travel: 6.12,
  longest: 2,
  hard: [],
  spare: ['1'],
  clusters: [],
});

describe('the chance of a plan', () => {
  it('is told with how often it was played, and where it does not reach the end', () => {
    expect(chanceWords(plan({}), false)).toBe(
      `Played 60 times, it cleared 43: a chance of 61 to ${percent(0.8)}.`,
    );
    expect(chanceWords(plan({ complete: false }), true)).toMatch(/^First look\. .*does not reach the end/);
  });

  it('is not guessed before it was played', () => {
    expect(chanceWords(plan({ chance: played(0, 0) }), true)).toBe(
      'First look. It is being played for its chance.',
    );
    expect(rangeWords(played(0, 0))).toBe('…');
    expect(wishWords(played(3, 10), played(0, 0))).not.toMatch(/\d/);
  });
});

it('calls two suits a tie only where the better one was not told apart', () => {
  const first = (lower: PlayedChance, higher: PlayedChance) =>
    adviceWords(plan({ choices: [suit(lower), suit(higher)] }))[0];
  expect(first(played(50, 60), played(20, 60))).toMatch(/Take the lower one\.$/);
  expect(first(played(20, 60), played(50, 60))).toMatch(/Take the higher one\.$/);
  expect(first(played(30, 60), played(31, 60))).toMatch(/They are a tie\.$/);
  expect(first(played(0, 0), played(0, 0))).toBe(
    'Lower: cue ball 6.1 m, 2.0 m at the longest; open: the 1.'.replaceAll(' m', '\u00a0m'),
  );
});
