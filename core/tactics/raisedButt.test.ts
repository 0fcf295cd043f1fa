import { describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { executionErrorOf } from '../player/levels.ts';
import { hitOf } from '../shot/kicks/hit.ts';
import { ball, cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { kindOfAnswer } from './kindOfAnswer.ts';
import { raisedStrokes } from './raisedButt.ts';
import type { Situation } from './situation.ts';
import { TurnJudge } from './turnJudge.ts';

const error = executionErrorOf('match', 'pool');
/** A table whose bed gives back half of a hop: without, no ball leaves the cloth. */
const HOPPING = { ...POOL, parameters: { ...POOL.parameters, bedRestitution: 0.5 } };
/** The 1 right behind the 2. */
const HIDDEN: Situation = {
  table: HOPPING,
  game: 'nine-ball',
  balls: [cueBall(0.6, 0.6), ball('1', 1.6, 0.62), ball('2', 1.1, 0.61), ball('9', 2.3, 0.3)],
  cue: 'cue',
  on: ['1'],
  error,
  opponent: error,
  missCalled: false,
};
const namesIn = (situation: Situation) => {
  const found = raisedStrokes(situation, new TurnJudge(situation, true));
  return new Set(found.map(({ shot, planned }) => kindOfAnswer(situation, shot, planned).name));
};

describe('strokes of a raised butt', () => {
  it('meet the hidden ball first without a cushion, over the other one and round it', () => {
    const found = raisedStrokes(HIDDEN, new TurnJudge(HIDDEN, true));
    for (const { shot } of found) {
      expect(hitOf(simulate(shot, { paths: true }), 'cue')).toMatchObject({ first: '1', before: [] });
    }
    expect([...namesIn(HIDDEN)]).toEqual(expect.arrayContaining(['jump', 'swerve']));
  });

  it('do not jump where the bed takes every hop, nor at snooker', () => {
    expect(namesIn({ ...HIDDEN, table: POOL })).not.toContain('jump');
    const table = { ...SNOOKER, parameters: { ...SNOOKER.parameters, bedRestitution: 0.5 } };
    const balls = [
      cueBall(0.6, 0.6, SNOOKER),
      ball('blue', 1.6, 0.62, SNOOKER),
      ball('pink', 1.1, 0.61, SNOOKER),
    ];
    expect(namesIn({ ...HIDDEN, table, balls, on: ['blue'], game: 'snooker' })).not.toContain('jump');
  });

  it('are not asked of a ball that lies open', () => {
    const open = { ...HIDDEN, balls: HIDDEN.balls.filter(({ id }) => id !== '2') };
    expect(raisedStrokes(open, new TurnJudge(open, true))).toEqual([]);
  });
});
