import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { answerTolerance } from './answerTolerance.ts';
import type { Situation } from './situation.ts';
import { TurnJudge } from './turnJudge.ts';

const error = executionErrorOf('team', 'pool');

describe('how far an answer may be off', () => {
  const cue = cueBall(0.8, 0.635);
  const one = ball('1', 1.6, 0.635);
  const situation: Situation = {
    table: POOL,
    game: 'nine-ball',
    balls: [cue, one, ball('9', 2.3, 0.2)],
    cue: 'cue',
    on: ['1'],
    error,
    opponent: error,
    missCalled: false,
  };
  const strike = { ball: 'cue', speed: 1.6, direction: 0.03, tip: { side: 0, height: 0 }, elevation: 0 };
  const shot = { table: POOL, balls: situation.balls, strike };
  const judge = new TurnJudge(situation, true);
  const planned = judge.endOf(shot);
  const allowed = answerTolerance(situation, { shot, planned });
  const kindAt = (change: Partial<typeof strike>) =>
    judge.endOf({ ...shot, strike: { ...strike, ...change } }).kind;

  it('is where it ends otherwise: just inside it does not, just outside it does', () => {
    const inside = 0.97;
    // Borders are found to a tenth of a step.
    const beyond = { line: 0.0004, pace: 0.004 };
    for (const [name, sign] of [
      ['left', 1],
      ['right', -1],
    ] as const) {
      expect(kindAt({ direction: strike.direction + sign * inside * allowed[name] })).toBe(planned.kind);
      expect(kindAt({ direction: strike.direction + sign * (allowed[name] + beyond.line) })).not.toBe(
        planned.kind,
      );
    }
    for (const [name, sign] of [
      ['softer', -1],
      ['harder', 1],
    ] as const) {
      expect(kindAt({ speed: strike.speed * (1 + sign * inside * allowed[name]) })).toBe(planned.kind);
      if (allowed[name] < 0.5) {
        expect(kindAt({ speed: strike.speed * (1 + sign * (allowed[name] + beyond.pace)) })).not.toBe(
          planned.kind,
        );
      }
    }
  });

  it('never reaches past where the ball is missed', () => {
    // A straight cue ball meets the ball within the angle of two radii at the distance.
    const widest = Math.asin((cue.radius + one.radius) / 0.8);
    expect(allowed.left).toBeLessThan(widest - 0.03 + 0.005);
    expect(allowed.right).toBeLessThan(widest + 0.03 + 0.005);
  });
});
