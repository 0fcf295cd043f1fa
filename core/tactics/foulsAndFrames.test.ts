import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { ball, cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { foulsToTry } from './candidates.ts';
import { scaleOf, worthOn } from './frame.ts';
import { rankAnswers } from './ranking.ts';
import type { Situation } from './situation.ts';
import { STILL, type TurnEnd } from './turnEnd.ts';
import { TurnJudge } from './turnJudge.ts';

const pool = executionErrorOf('team', 'pool');
const snooker = executionErrorOf('team', 'snooker');

/** The 1 frozen into a corner behind the 9 and the 3, the cue ball shut in by the 4 and the 5 in the other. */
const SHUT_IN: Situation = {
  table: POOL,
  game: 'nine-ball',
  balls: [
    cueBall(0.06, 0.06),
    ball('1', 2.45, 1.2),
    ball('9', 2.38, 1.2),
    ball('3', 2.45, 1.13),
    ball('4', 0.14, 0.05),
    ball('5', 0.05, 0.14),
  ],
  cue: 'cue',
  on: ['1'],
  error: pool,
  opponent: pool,
  missCalled: false,
};

/** The red behind blue and pink, a brown between it and the cue ball. */
const SNOOKERED: Situation = {
  table: SNOOKER,
  game: 'snooker',
  balls: [
    cueBall(3.3, 0.3, SNOOKER),
    ball('red', 0.3, 0.3, SNOOKER),
    ball('blue', 0.37, 0.3, SNOOKER),
    ball('pink', 0.3, 0.37, SNOOKER),
    ball('brown', 3.2, 0.3, SNOOKER),
    ball('black', 3.2, 0.9, SNOOKER),
  ],
  cue: 'cue',
  on: ['red'],
  error: snooker,
  opponent: snooker,
  missCalled: false,
};

/** Pink and black, thirteen points. */
const LAST_TWO: Situation = {
  ...SNOOKERED,
  balls: [cueBall(1, 0.9, SNOOKER), ball('pink', 1.6, 1.3, SNOOKER), ball('black', 3.2, 0.9, SNOOKER)],
  on: ['pink'],
};

describe('a foul on purpose', () => {
  it('is what is left where no stroke meets the ball that is on, and is called so', () => {
    const { answers } = rankAnswers(SHUT_IN);
    expect(answers.length).toBeGreaterThan(0);
    expect(answers[0]).toMatchObject({ kind: { name: 'foul' }, legal: 0 });
  });

  it('is tried as a foul only, the one that gives least first', () => {
    const fouls = foulsToTry(SNOOKERED, new TurnJudge(SNOOKERED, true));
    expect(fouls.length).toBeGreaterThan(0);
    for (const { planned } of fouls) expect(planned.kind).toBe('foul');
    expect(fouls.map(({ worth }) => worth)).toEqual(
      [...fouls.map(({ worth }) => worth)].sort((a, b) => b - a),
    );
  });
});

describe('the score of a frame', () => {
  /** An end of a turn on pink and black: the pink is potted and the black left, or both are left with little on. */
  const ended = (end: Partial<TurnEnd>): TurnEnd => ({
    kind: 'nothing on',
    hit: { before: [], first: 'pink', covered: 0.5, side: 'left', reached: true },
    potted: undefined,
    gained: 0,
    theirs: 0,
    penalty: 0,
    left: 0,
    again: false,
    pointsLeft: 13,
    swing: STILL,
    rest: [],
    ...end,
  });
  const potted = ended({
    kind: 'pot',
    gained: 6 + 0.9 * 7,
    pointsLeft: 7,
    swing: { chance: 0.9, points: 7 },
  });
  const hidden = ended({ theirs: 0.1 * 13, swing: { chance: 0.1, points: -13 } });

  it('tells when a pot is no use: who needs a foul leaves the pink, who does not pots it', () => {
    const at = (lead: number, end: TurnEnd) => worthOn(scaleOf({ ...LAST_TWO, lead }), end, undefined);
    expect(at(-14, potted)).toBe(0);
    expect(at(-14, hidden)).toBeGreaterThan(0);
    expect(at(-14, hidden)).toBeLessThan(0.3);
    for (const lead of [-12, -5, 0]) expect(at(lead, potted)).toBeGreaterThan(at(lead, hidden));
    // Nine in ten have the black, and it is enough; of the tenth one that misses it not all is lost.
    expect(at(-12, potted)).toBeGreaterThan(0.9);
    expect(at(-12, potted)).toBeLessThan(0.95);
  });

  it('counts at snooker only, and points for certain are worth themselves', () => {
    expect(scaleOf({ ...SHUT_IN, lead: 5 }).isFrame).toBe(false);
    const scale = scaleOf({ ...LAST_TWO, lead: -3 });
    for (const points of [-8, 0, 6]) {
      expect(scale.pointsFor(scale.worthOf(points, 13, STILL))).toBeCloseTo(points, 4);
    }
    expect(scale.worthOf(6, 7, STILL)).toBeGreaterThan(scale.worthOf(0, 13, STILL));
    expect(scale.worthOf(-6, 7, STILL)).toBe(0);
    // The last black for all: three in four have it, and win.
    expect(scale.worthOf(4 + 0.75 * 7, 7, { chance: 0.75, points: 7 })).toBeGreaterThan(0.75);
  });
});
