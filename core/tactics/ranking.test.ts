import { describe, expect, it } from 'vitest';
import type { BallOnTable } from '../motion/shot.ts';
import { errorAsCued } from '../player/asCued.ts';
import { executedWith } from '../player/execute.ts';
import { latinDraws } from '../player/latinDraws.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { ball, cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { rankAnswers } from './ranking.ts';
import type { Situation } from './situation.ts';
import { worthOfEnd, type TurnEnd } from './turnEnd.ts';
import { TurnJudge } from './turnJudge.ts';

const team = executionErrorOf('team', 'pool');
const nineBall = (balls: readonly BallOnTable[], over: Partial<Situation> = {}): Situation => ({
  table: POOL,
  game: 'nine-ball',
  balls,
  cue: 'cue',
  on: ['1'],
  error: team,
  opponent: team,
  missCalled: false,
  ...over,
});

/** The 1 far off on the side rail, the 2 half in the way: hard to pot, and plain to hit. */
const AWKWARD = nineBall([
  cueBall(0.5, 0.35),
  ball('1', 1.6, 1.22),
  ball('2', 0.9, 0.72),
  ball('5', 1.3, 0.4),
  ball('9', 2.3, 0.6),
]);

describe('the answers to a position', () => {
  it('are a plain pot where one hangs, worth nearly all when the next ball lies as plain', () => {
    const easy = nineBall([cueBall(2, 0.9), ball('1', 2.42, 1.15), ball('2', 2.2, 0.2), ball('9', 1.4, 0.4)]);
    const { answers } = rankAnswers(easy);
    expect(answers[0]).toMatchObject({ kind: { name: 'pot', ball: '1' }, planned: { potted: '1' } });
    expect(answers[0]?.worth).toBeGreaterThan(0.5);
    answers.forEach(({ worth }, i) => expect(worth).toBeLessThanOrEqual(answers[i - 1]?.worth ?? 1));
  });

  it('beat the best of a thousand strokes at random', () => {
    const [best] = rankAnswers(AWKWARD).answers;
    expect(best).toBeDefined();
    const judge = new TurnJudge(AWKWARD);
    const random = createRandom(91);
    const worthOf = (shot: NonNullable<typeof best>['shot'], executions: number, seed: number) => {
      const error = errorAsCued(shot, team);
      const worths = latinDraws(executions, seed).map((draw) =>
        worthOfEnd(judge.endOf(executedWith(shot, error, draw)), 0),
      );
      return worths.reduce((sum, worth) => sum + worth, 0) / executions;
    };
    const strokes = Array.from({ length: 1_000 }, () => ({
      table: POOL,
      balls: AWKWARD.balls,
      strike: {
        ball: 'cue',
        speed: 0.8 + 4 * random.uniform(),
        direction: 2 * Math.PI * random.uniform(),
        tip: { side: 0.8 * (random.uniform() - 0.5), height: 0.8 * (random.uniform() - 0.5) },
        elevation: 0,
      },
    }));
    const hopeful = strokes
      .map((shot) => ({ shot, worth: worthOf(shot, 1, 3) }))
      .sort((a, b) => b.worth - a.worth)
      .slice(0, 40)
      .map(({ shot }) => ({ shot, worth: worthOf(shot, 30, 4) }))
      .sort((a, b) => b.worth - a.worth)
      .slice(0, 4)
      .map(({ shot }) => worthOf(shot, 300, 5));
    expect(worthOf(best!.shot, 300, 5)).toBeGreaterThan(Math.max(...hopeful) - 0.04);
  });

  it('are worth less against a better opponent, and what is told of each adds up', () => {
    const weak = rankAnswers({ ...AWKWARD, opponent: executionErrorOf('first season', 'pool') });
    const strong = rankAnswers({ ...AWKWARD, opponent: executionErrorOf('title', 'pool') });
    expect(strong.answers[0]!.worth).toBeLessThan(weak.answers[0]!.worth - 0.02);
    for (const { outcomes, worth, legal } of strong.answers) {
      expect(outcomes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      expect(outcomes.reduce((sum, each) => sum + each.share * each.worth, 0)).toBeCloseTo(worth, 9);
      expect(legal).toBeCloseTo(1 - (outcomes.find(({ kind }) => kind === 'foul')?.share ?? 0), 9);
    }
  });

  it('are fouls only where no ball can be hit, and refused without one that is on', () => {
    expect(() => rankAnswers({ ...AWKWARD, on: [] })).toThrow(RangeError);
    const walled = nineBall([
      cueBall(0.03, 0.03),
      ...['2', '3', '4'].map((id, i) => ball(id, 0.092 - 0.031 * i, 0.03 + 0.031 * i)),
      ball('1', 2, 1),
    ]);
    const { answers } = rankAnswers({ ...walled, balls: walled.balls.filter(({ id }) => id !== '3') });
    expect(new Set(answers.map(({ kind }) => kind.name))).toEqual(new Set(['foul']));
  });
});

describe('the end of a turn at pool', () => {
  /** The 1 is met first and sends the ball behind it into the corner. */
  const endWith = (game: Situation['game'], behind: string, on: readonly string[]) => {
    const along = Math.atan2(POOL.width - 1.1, POOL.length - 2.3);
    const at = (back: number) => [2.3 - back * Math.cos(along), 1.1 - back * Math.sin(along)] as const;
    const balls = [
      cueBall(...at(0.5)),
      ball('1', ...at(0.0575)),
      ball(behind, 2.3, 1.1),
      ball('7', 0.5, 0.3),
    ];
    const strike = { ball: 'cue', speed: 2.5, direction: along, tip: { side: 0, height: 0 }, elevation: 0 };
    return new TurnJudge(nineBall(balls, { game, on })).endOf({ table: POOL, balls, strike });
  };

  it('is a pot at nine-ball whatever falls after the ball that is on, and all of it with the nine', () => {
    expect(endWith('nine-ball', '8', ['1'])).toMatchObject({ kind: 'pot', potted: '8' });
    expect(endWith('nine-ball', '9', ['1'])).toMatchObject({ kind: 'pot', potted: '9', gained: 1 });
  });

  it('is a foul at eight-ball when the eight falls too early', () => {
    expect(endWith('eight-ball', '8', ['1', '7']).kind).toBe('foul');
  });
});

describe('a foul by the rules of a house', () => {
  it('gives what the house says: one visit, two, or ball in hand, and the usual where it says nothing', () => {
    const balls = [cueBall(0.6, 0.3), ball('1', 2.42, 1.17), ball('2', 0.72, 0.36), ball('9', 0.6, 1.1)];
    const strike = {
      ball: 'cue',
      speed: 0.05,
      direction: Math.PI,
      tip: { side: 0, height: 0 },
      elevation: 0,
    };
    const theirs = (foulGives: Situation['foulGives']) =>
      new TurnJudge(nineBall(balls, { foulGives })).endOf({ table: POOL, balls, strike }).theirs;
    const [once, twice, hand] = [
      theirs({ kind: 'visits', visits: 1 }),
      theirs({ kind: 'visits', visits: 2 }),
      theirs({ kind: 'ball in hand' }),
    ];
    expect(once).toBeLessThan(0.1);
    expect(twice).toBeGreaterThan(once + 0.5);
    expect(twice).toBeGreaterThanOrEqual(hand);
    expect(theirs(undefined)).toBe(hand);
  });
});

describe('the end of a turn at the small table', () => {
  it('gives after a foul two visits, of which the first may bring the cue ball to its place', () => {
    // The 9 hangs over a corner, behind the 2 as the cue ball lies.
    const balls = [cueBall(0.6, 0.3), ball('9', 2.42, 1.17), ball('2', 0.72, 0.36), ball('1', 0.6, 1.1)];
    const situation = nineBall(balls, { game: 'small-table eight-ball', on: ['1'] });
    const strike = {
      ball: 'cue',
      speed: 0.05,
      direction: Math.PI,
      tip: { side: 0, height: 0 },
      elevation: 0,
    };
    const end = new TurnJudge(situation).endOf({ table: POOL, balls, strike });
    expect(end.kind).toBe('foul');
    expect(end.left).toBeLessThan(0.1);
    expect(end.theirs).toBeGreaterThan(0.8);
  });
});

const small = (id: string, x: number, y: number): BallOnTable => ({
  id,
  x,
  y,
  radius: SNOOKER.preset.ballRadius,
  mass: SNOOKER.preset.ballMass,
});

describe('the end of a turn at snooker', () => {
  const balls = [small('cue', 0.6, 0.9), small('blue', 1.2, 0.9), small('red 1', 3, 0.4)];
  const error = executionErrorOf('match', 'snooker');
  const situation: Situation = {
    table: SNOOKER,
    game: 'snooker',
    balls,
    cue: 'cue',
    on: ['red 1'],
    error,
    opponent: error,
    missCalled: true,
  };
  const struck = (speed: number, direction: number) =>
    new TurnJudge(situation).endOf({
      table: SNOOKER,
      balls,
      strike: { ball: 'cue', speed, direction, tip: { side: 0, height: 0 }, elevation: 0 },
    });

  it('costs five for the blue and four for nothing, and may be played again', () => {
    expect(struck(2, 0)).toMatchObject({ kind: 'foul', penalty: 5, again: true });
    expect(struck(0.3, Math.PI)).toMatchObject({ kind: 'foul', penalty: 4, again: true });
  });

  it('is worth what the opponent likes better: to play on, or to have the stroke again', () => {
    const end: TurnEnd = { ...struck(0.3, Math.PI), gained: 0, theirs: 3, penalty: 4 };
    expect(worthOfEnd(end, -10)).toBe(-14);
    expect(worthOfEnd(end, -1)).toBe(-7);
    expect(worthOfEnd({ ...end, again: false }, -10)).toBe(-7);
  });
});
