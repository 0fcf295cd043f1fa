import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import type { Shot } from '../motion/shot.ts';
import { drawErrors, executedWith } from '../player/execute.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { wayOf } from '../shot/kicks/way.ts';
import { POOL, SNOOKER } from '../testing/balls.ts';
import { mean } from '../statistics/summary.ts';
import { worthOfEnd } from '../tactics/turnEnd.ts';
import { TurnJudge } from '../tactics/turnJudge.ts';
import { countedCall } from './countCall.ts';
import type { CallQuestion } from './question.ts';
import type { KickKind } from './kinds.ts';
import { poseFromPlan, poseFromSeed } from './pose.ts';
import { turnAt } from './pose/turn.ts';
import { picksOf, shownOf, sidesToPick } from './question.ts';
import { scoreCall } from './score.ts';

type OfKind<K extends KickKind> = Extract<CallQuestion, { readonly kind: K }>;

/** Seeds that soon give a position of their kind. */
const SOON: Readonly<Record<KickKind, number>> = {
  'which line': 5,
  'where on the cushion': 1,
  'which way to miss': 3,
  'pot or safe': 4,
};

/** The first position of a kind that one of some seeds gives. */
function posed<K extends KickKind>(kind: K, table = POOL): OfKind<K> {
  for (const seed of [SOON[kind], 1, 2, 3]) {
    const question = poseFromSeed(table, kind, 'plain', seed);
    if (question?.kind === kind) return question as OfKind<K>;
  }
  throw new Error(`no position for "${kind}"`);
}

/** How often a team player meets a ball first in a direction: by draws that no question was made with. */
function metBy(shot: Shot, target: string, direction: number, plays: number): number {
  const random = createRandom(99);
  const error = executionErrorOf('team', shot.table.preset.game);
  const planned = { ...shot, strike: { ...shot.strike, direction } };
  let met = 0;
  for (let k = 0; k < plays; k++) {
    if (wayOf(executedWith(planned, error, drawErrors(random)), 8).first === target) met++;
  }
  return met / plays;
}

/** Whether some straight stroke meets a ball before any other. */
function canBeHitStraight({ table, balls, strike }: Shot, target: string): boolean {
  return Array.from({ length: 1440 }, (_, k) => (2 * Math.PI * k) / 1440).some((direction) => {
    const stroke = { ...strike, direction, tip: { side: 0, height: 0 }, elevation: 0, speed: 6 };
    return wayOf({ table, balls, strike: stroke }, 0).first === target;
  });
}

describe('a hidden ball', () => {
  it.each([
    ['pool', POOL],
    ['snooker', SNOOKER],
  ] as const)('cannot be hit straight, and its lines lead to it: %s', (_, table) => {
    const { shot, target, lines } = posed('which line', table);
    expect(canBeHitStraight(shot, target)).toBe(false);
    for (const { direction } of lines) {
      expect(wayOf({ ...shot, strike: { ...shot.strike, direction } }, 8).first).toBe(target);
    }
    const balls = shot.balls;
    balls.forEach((a, i) =>
      balls.slice(i + 1).forEach((b) => expect(distance(a, b)).toBeGreaterThan(a.radius + b.radius)),
    );
  });
});

describe('which line', () => {
  const question = posed('which line');

  it('is the one by which fresh strokes meet the ball most often', () => {
    const { lines, truth, worth, shot, target } = question;
    expect(picksOf(question)).toEqual(['A', 'B', 'C']);
    const fresh = lines.map(({ pick, direction }) => ({ pick, met: metBy(shot, target, direction, 600) }));
    for (const { pick, met } of fresh) {
      // Six hundred against two hundred strokes: four standard errors.
      expect(Math.abs(met - worth.find((each) => each.pick === pick)!.value)).toBeLessThan(0.16);
    }
    expect([...fresh].sort((a, b) => b.met - a.met)[0]?.pick).toBe(truth);
  });

  it('is scored by the share of the chance that a line keeps', () => {
    const [best, second] = question.worth;
    expect(scoreCall(question, { kind: 'pick', pick: question.truth })).toBe(1);
    expect(scoreCall(question, { kind: 'pick', pick: second!.pick })).toBeCloseTo(
      second!.value / best!.value,
      12,
    );
    expect(scoreCall(question, { kind: 'pick', pick: 'D' })).toBe(0);
    expect(countedCall(question, { kind: 'pick', pick: 'A' })).toEqual({
      called: 'A',
      computed: question.truth,
      played: null,
    });
  });
});

describe('where on the cushion', () => {
  const question = posed('where on the cushion');
  const { truth, shot, target, best } = question;

  it('is a place on a cushion’s nose from which the way leads to the ball', () => {
    const { x, y } = truth.at;
    const toNose = Math.min(x, y, shot.table.length - x, shot.table.width - y);
    expect(Math.abs(toNose)).toBeLessThan(1e-9);
    expect(wayOf(shot, 8)).toMatchObject({ first: target, cushions: question.cushions });
    expect(question.cushions.length).toBeGreaterThan(0);
    expect(Math.abs(metBy(shot, target, shot.strike.direction, 600) - best)).toBeLessThan(0.16);
  });

  it('is scored by what the tapped place keeps of the chance', () => {
    const scoreAt = (x: number, y: number) => scoreCall(question, { kind: 'place', at: { x, y } });
    expect(scoreAt(truth.at.x, truth.at.y)).toBeCloseTo(1, 9);
    const cue = shot.balls.find(({ id }) => id === shot.strike.ball)!;
    // On the same line, but nearer: it is the same direction.
    expect(scoreAt((cue.x + truth.at.x) / 2, (cue.y + truth.at.y) / 2)).toBeCloseTo(1, 6);
    const hidden = shot.balls.find(({ id }) => id === target)!;
    expect(scoreAt(hidden.x, hidden.y)).toBeLessThan(0.5);
    expect(() => scoreCall(question, { kind: 'pick', pick: 'A' })).toThrow(RangeError);
    expect(shownOf(question)).toBe('stroke');
  });

  it('is harder at every level of difficulty', () => {
    const chances = (['plain', 'fair', 'close'] as const).map((difficulty) => {
      for (const seed of [1, 2, 3]) {
        const found = poseFromSeed(POOL, 'where on the cushion', difficulty, seed);
        if (found?.kind === 'where on the cushion') return found.best;
      }
      throw new Error(`none at ${difficulty}`);
    });
    expect(chances).toEqual([...chances].sort((a, b) => b - a));
  });
});

describe('which way to miss', () => {
  const question = posed('which way to miss');

  it('is the side on which lines that are off by a degree come to more', () => {
    const { shot, target, truth } = question;
    const turn = turnAt({ table: shot.table, balls: shot.balls, cue: shot.strike.ball }, target);
    const judge = new TurnJudge(turn);
    const random = createRandom(5);
    // Anticlockwise is to the left.
    const worthAt = (sign: number) =>
      mean(
        Array.from({ length: 60 }, () => {
          const line = sign * (0.5 + Math.abs(random.normal()));
          const draws = { ...drawErrors(random), line };
          return worthOfEnd(judge.endOf(executedWith(shot, turn.error, draws)), 0);
        }),
      );
    const [left, right] = [worthAt(1), worthAt(-1)];
    expect(left > right ? 'left' : 'right').toBe(truth);
  });

  it('is left or right, and the wrong one is scored by what it costs', () => {
    const { truth, left, right, unit } = question;
    expect(sidesToPick(question)).toEqual(['left', 'right']);
    expect(unit).toBe(1);
    const wrong = truth === 'left' ? 'right' : 'left';
    expect(scoreCall(question, { kind: 'side', side: truth })).toBe(1);
    expect(scoreCall(question, { kind: 'side', side: wrong })).toBeCloseTo(
      Math.max(0, 1 - 2 * Math.abs(left - right)),
      12,
    );
  });
});

describe('pot or safe', () => {
  const question = posed('pot or safe');

  it('is the better of both, and its stroke is what it says', () => {
    const { truth, potWorth, safeWorth, shot, target, falls } = question;
    expect(truth).toBe(potWorth > safeWorth ? 'pot' : 'safe');
    const { rest } = simulate(shot);
    expect(rest.find(({ id }) => id === target)!.pocket !== null).toBe(truth === 'pot');
    expect(falls).toBeGreaterThan(0);
    expect(falls).toBeLessThan(1);
  });

  it('is scored by what the other choice costs', () => {
    const { truth, potWorth, safeWorth, unit } = question;
    const other = truth === 'pot' ? 'safe' : 'pot';
    expect(scoreCall(question, { kind: 'pick', pick: truth })).toBe(1);
    expect(scoreCall(question, { kind: 'pick', pick: other })).toBeCloseTo(
      Math.max(0, 1 - Math.abs(potWorth - safeWorth) / (0.5 * unit)),
      12,
    );
    expect(shownOf(question)).toBe('nothing');
  });

  it('is not asked of a drill’s own stroke', () => {
    const { shot } = question;
    for (const kind of ['which line', 'where on the cushion', 'which way to miss', 'pot or safe'] as const) {
      expect(poseFromPlan(kind, { shot, pot: '1', pocket: 'foot-left' }, '2', 'head-left')).toBeUndefined();
    }
  });
});
