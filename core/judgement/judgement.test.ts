import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import { POOL, SNOOKER } from '../testing/balls.ts';
import { chanceAt, placeOnGrid } from '../planning/grid.ts';
import { anyOrder, inOrder } from '../planning/order/anyOrder.ts';
import { OrderPlanner } from '../planning/order/planner.ts';
import { playOut } from '../planning/order/playOut.ts';
import { COARSE } from '../planning/order/tableDetail.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { solvePlant } from '../shot/plants.ts';
import { CALL_KINDS, DIFFICULTIES } from './kinds.ts';
import { poseFromPlan, poseFromSeed, type PosedKind } from './pose.ts';
import { answerKindOf, picksOf, type CallAnswer, type CallQuestion } from './question.ts';
import { countedCall } from './countCall.ts';
import { meanApart, scoreCall } from './score.ts';

const SEEDS = [1, 2, 3, 4];

function posed(kind: PosedKind, difficulty: (typeof DIFFICULTIES)[number], table = POOL) {
  const found = SEEDS.flatMap((seed) => poseFromSeed(table, kind, difficulty, seed) ?? []);
  // What is said of all of them would be true of none.
  expect(found.length).toBeGreaterThan(0);
  return found;
}

/** The first position that is found: those that are planned take a while. */
function firstPosed(kind: PosedKind): CallQuestion {
  for (const seed of SEEDS) {
    const question = poseFromSeed(POOL, kind, 'plain', seed);
    if (question !== undefined) return question;
  }
  throw new Error(`no position for "${kind}"`);
}

const cueOf = (question: CallQuestion) => {
  const { rest } = simulate(question.shot);
  return rest.find(({ id }) => id === 'cue')!;
};

describe('a position to be called', () => {
  it('is the same from the same seed', () => {
    for (const kind of ['in-off or not', 'does it pass', 'draw the path'] as const) {
      expect(poseFromSeed(POOL, kind, 'fair', 9)).toEqual(poseFromSeed(POOL, kind, 'fair', 9));
      expect(poseFromSeed(POOL, kind, 'fair', 9)).not.toEqual(poseFromSeed(POOL, kind, 'fair', 10));
    }
  });

  it.each([
    ['pool', POOL],
    ['snooker', SNOOKER],
  ] as const)('says yes to an in-off exactly when the cue ball falls: %s', (_, table) => {
    const questions = posed('in-off or not', 'plain', table);
    expect(questions.length).toBeGreaterThan(2);
    for (const question of questions) {
      expect(question.truth).toBe(cueOf(question).pocket === null ? 'no' : 'yes');
    }
  });

  it('says that it passes exactly when the two balls do not meet', () => {
    for (const question of [...posed('does it pass', 'plain'), ...posed('does it pass', 'close')]) {
      if (question.kind !== 'does it pass') throw new Error('another kind');
      const { events } = simulate(question.shot);
      const meets = events.some(
        (event) =>
          event.kind === 'ball-ball' && event.ids.includes('cue') && event.ids.includes(question.obstacle.id),
      );
      expect(question.truth).toBe(meets ? 'no' : 'yes');
    }
  });

  it('is too close to call at the top level only, where a team player’s own scatter decides', () => {
    for (const difficulty of ['plain', 'fair', 'close'] as const) {
      for (const question of posed('does it pass', difficulty)) {
        if (question.kind !== 'does it pass') throw new Error('another kind');
        expect(question.truth).not.toBe('too close');
        expect(question.share <= 0.1 || question.share >= 0.9).toBe(true);
      }
    }
    expect(posed('does it pass', 'hair-fine').map(({ truth }) => truth)).toContain('too close');
  });

  it('has its path from the hit to where the cue ball stops, with more cushions the harder it is', () => {
    DIFFICULTIES.forEach((difficulty, i) => {
      for (const question of posed('draw the path', difficulty)) {
        if (question.kind !== 'draw the path') throw new Error('another kind');
        const rest = cueOf(question);
        expect(distance(question.truth.at(-1)!, rest)).toBeLessThan(1e-6);
        const object = question.shot.balls.find(({ id }) => id === question.pot)!;
        expect(distance(question.truth[0]!, object)).toBeLessThan(3 * object.radius);
        const { events } = simulate(question.shot);
        const cushions = events.filter((event) => event.kind === 'ball-cushion' && event.id === 'cue').length;
        expect(Math.min(3, cushions)).toBe(i);
      }
    });
  });

  it('has a plant whose stated side pots it', () => {
    for (const question of posed('which side of the plant', 'fair').slice(0, 2)) {
      if (question.kind !== 'which side of the plant') throw new Error('another kind');
      expect(simulate(question.shot).rest.find(({ id }) => id === question.pot)!.pocket).toBe(
        question.pocket,
      );
      const [cue, first, second] = question.shot.balls;
      const plant = {
        table: POOL,
        cue: cue!,
        first: first!,
        second: second!,
        pocket: question.pocket,
        others: [],
      };
      const stroke = { ball: 'cue', speed: 2.2, tip: { side: 0, height: 0 }, elevation: 0 };
      expect(solvePlant(plant, stroke)!.side).toBe(question.truth);
    }
  });

  it('may be a drill’s own stroke, which is never a plant', () => {
    const question = poseFromSeed(POOL, 'draw the path', 'fair', 3);
    if (question?.kind !== 'draw the path') throw new Error('no position');
    const posedShot = { shot: question.shot, pot: question.pot, pocket: question.pocket };
    expect(poseFromPlan('draw the path', posedShot, '2', 'head-left')).toMatchObject({
      kind: 'draw the path',
    });
    expect(poseFromPlan('in-off or not', posedShot, '2', 'head-left')).toMatchObject({
      kind: 'in-off or not',
    });
    expect(poseFromPlan('does it pass', posedShot, '2', 'head-left')).toBeUndefined();
    expect(poseFromPlan('which side of the plant', posedShot, '2', 'head-left')).toBeUndefined();
  });
});

describe('the score of a call', () => {
  const window = firstPosed('how long is the window');
  const path = firstPosed('draw the path');
  const pass = firstPosed('does it pass');

  it('of a verdict is all or nothing', () => {
    if (pass.kind !== 'does it pass') throw new Error('another kind');
    const wrong = pass.truth === 'yes' ? 'no' : 'yes';
    expect(scoreCall(pass, { kind: 'verdict', verdict: pass.truth })).toBe(1);
    expect(scoreCall(pass, { kind: 'verdict', verdict: wrong })).toBe(0);
  });

  it('of a length falls with its share of the longer of both', () => {
    if (window.kind !== 'how long is the window') throw new Error('another kind');
    const score = (factor: number) => scoreCall(window, { kind: 'length', metres: factor * window.truth });
    expect(score(1)).toBe(1);
    expect(score(0.5)).toBeCloseTo(0.5, 12);
    expect(score(2)).toBeCloseTo(0.5, 12);
    expect(score(0)).toBe(0);
  });

  it('of a drawn path falls with its mean distance, from all to nothing at half a metre', () => {
    if (path.kind !== 'draw the path') throw new Error('another kind');
    const moved = (by: number): CallAnswer => ({
      kind: 'path',
      points: path.truth.map(({ x, y }) => ({ x: x + by, y })),
    });
    expect(scoreCall(path, moved(0))).toBeCloseTo(1, 9);
    expect(scoreCall(path, moved(0.25))).toBeCloseTo(0.5, 9);
    expect(scoreCall(path, moved(0.6))).toBe(0);
  });

  it('compares ways as they are walked, not point by point', () => {
    const straight = [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
    ];
    const withMore = [0, 0.1, 0.35, 0.8, 1].map((x) => ({ x, y: 0 }));
    expect(meanApart(straight, withMore)).toBeCloseTo(0, 9);
    expect(
      meanApart(
        straight,
        straight.map(({ x, y }) => ({ x, y: y + 0.3 })),
      ),
    ).toBeCloseTo(0.3, 9);
    // Backwards it is another way: its ends are a metre apart, its middle is not.
    expect(meanApart(straight, [...straight].reverse())).toBeCloseTo(0.5, 1);
    expect(meanApart([], straight)).toBe(Infinity);
  });

  it('of an answer to another question is refused', () => {
    for (const kind of CALL_KINDS)
      expect(['verdict', 'path', 'length', 'side', 'pick', 'order', 'place']).toContain(answerKindOf(kind));
    expect(() => scoreCall(pass, { kind: 'length', metres: 1 })).toThrow(RangeError);
    expect(() => scoreCall(path, { kind: 'side', side: 'left' })).toThrow(RangeError);
  });
});

describe('which ball first', () => {
  const question = firstPosed('which ball first');
  if (question.kind !== 'which ball first') throw new Error('another kind');

  it('is the ball with which a team player clears most often, the others behind by what the difficulty says', () => {
    const { worth, truth, shot, pot, pocket } = question;
    expect(worth[0]?.pick).toBe(truth);
    expect(worth.map(({ value }) => value)).toEqual(worth.map(({ value }) => value).sort((a, b) => b - a));
    expect(1 - (worth[1]?.value ?? 0) / (worth[0]?.value ?? 1)).toBeGreaterThanOrEqual(0.3);
    // The stroke that is shown afterwards pots it.
    expect(pot).toBe(truth);
    expect(simulate(shot).rest.find(({ id }) => id === pot)?.pocket).toBe(pocket);
  });

  it('is scored by the share of the chance that a call keeps', () => {
    const { worth, truth } = question;
    const [best, second] = worth;
    expect(scoreCall(question, { kind: 'pick', pick: truth })).toBe(1);
    expect(scoreCall(question, { kind: 'pick', pick: second?.pick ?? '' })).toBeCloseTo(
      (second?.value ?? 0) / (best?.value ?? 1),
      12,
    );
    expect(scoreCall(question, { kind: 'pick', pick: 'no such ball' })).toBe(0);
    expect(() => scoreCall(question, { kind: 'verdict', verdict: 'yes' })).toThrow(RangeError);
  });

  it('is what fresh play-outs of plans that are held to a first ball come to', () => {
    const { shot, worth } = question;
    const cue = shot.balls.find(({ id }) => id === shot.strike.ball)!;
    const balls = shot.balls.filter((each) => each !== cue);
    const error = executionErrorOf('team', 'pool');
    const clearedWith = (ball: string) => {
      const free = anyOrder(balls.map(({ id }) => id));
      // Held to the ball as long as nothing has fallen.
      const game = {
        ...free,
        legal: (left: readonly string[]) => (left.length === balls.length ? [ball] : left),
      };
      const asked = { table: POOL, balls, game, error, detail: COARSE };
      const planner = OrderPlanner.of(asked)!;
      const from = { state: game.start, cue, balls };
      return Array.from({ length: PLAYS }, (_, k) =>
        playOut(asked, planner, from, createRandom(k + 1)),
      ).filter(({ end }) => end === 'cleared').length;
    };
    const last = worth.at(-1);
    expect(clearedWith(question.truth)).toBeGreaterThan(clearedWith(last?.pick ?? ''));
  });

  const PLAYS = 10;
});

describe('the whole order', () => {
  const question = firstPosed('whole order');
  if (question.kind !== 'whole order') throw new Error('another kind');

  it('is the best of all that four balls can have, each worth what a team player clears in it', () => {
    const { worth, truth, pot, shot } = question;
    expect([...truth].sort()).toEqual([...picksOf(question)].sort());
    expect(new Set(worth.map(({ order }) => order.join())).size).toBe(worth.length);
    expect(worth.length).toBeLessThanOrEqual(24);
    expect(truth[0]).toBe(pot);
    expect(simulate(shot).rest.find(({ id }) => id === pot)?.pocket).toBe(question.pocket);
    // Held to play-outs of the best order and of the worst.
    const cue = shot.balls.find(({ id }) => id === shot.strike.ball)!;
    const balls = shot.balls.filter((each) => each !== cue);
    const clearedIn = (order: readonly string[]) => {
      const game = inOrder(order);
      const asked = { table: POOL, balls, game, error: executionErrorOf('team', 'pool'), detail: COARSE };
      const planner = OrderPlanner.of(asked)!;
      return Array.from({ length: 10 }, (_, k) =>
        playOut(asked, planner, { state: order, cue, balls }, createRandom(k + 1)),
      ).filter(({ end }) => end === 'cleared').length;
    };
    expect(clearedIn(truth)).toBeGreaterThan(clearedIn(worth.at(-1)!.order));
  });

  it('is scored by the share of the chance that the called one keeps', () => {
    const [best, second] = question.worth;
    expect(scoreCall(question, { kind: 'order', order: best!.order })).toBe(1);
    const called = scoreCall(question, { kind: 'order', order: second!.order });
    expect(called).toBeCloseTo(second!.value / best!.value, 12);
    expect(scoreCall(question, { kind: 'order', order: ['1', '2'] })).toBe(0);
    expect(() => scoreCall(question, { kind: 'pick', pick: '1' })).toThrow(RangeError);
    expect(countedCall(question, { kind: 'order', order: best!.order })).toMatchObject({
      called: 'near enough',
      computed: 'near enough',
    });
  });
});

describe('where to be', () => {
  const question = firstPosed('where to be');
  if (question.kind !== 'where to be') throw new Error('another kind');

  it('is the place from which the balls that follow are cleared most often', () => {
    const { truth, worth, after, shot, best } = question;
    const left = shot.balls.filter(({ id }) => after.includes(id));
    expect(left.map(({ id }) => id)).toEqual(after);
    for (const ball of left) expect(distance(ball, truth)).toBeGreaterThan(2 * ball.radius);
    // Play-outs from there against those from a place that the map likes little.
    const cue = shot.balls.find(({ id }) => id === shot.strike.ball)!;
    const clearedFrom = (place: { readonly x: number; readonly y: number }) => {
      const game = inOrder(after);
      const error = executionErrorOf('team', 'pool');
      const asked = { table: POOL, balls: left, game, error, detail: COARSE };
      const planner = OrderPlanner.of(asked)!;
      return Array.from({ length: 12 }, (_, k) =>
        playOut(
          asked,
          planner,
          { state: after, cue: { ...cue, ...place }, balls: left },
          createRandom(k + 1),
        ),
      ).filter(({ end }) => end === 'cleared').length;
    };
    const places = [...worth.chances.keys()].map((index) => placeOnGrid(worth, index));
    const poor = places.find(
      (place) =>
        chanceAt(worth, place) < 0.4 * best && left.every((ball) => distance(ball, place) > 4 * ball.radius),
    )!;
    expect(clearedFrom(truth)).toBeGreaterThan(clearedFrom(poor));
  });

  it('is scored by the share of the best place’s chance that a place keeps', () => {
    const { truth, worth, best } = question;
    expect(scoreCall(question, { kind: 'place', at: truth })).toBeCloseTo(1, 6);
    const other = placeOnGrid(worth, 40);
    expect(scoreCall(question, { kind: 'place', at: other })).toBeCloseTo(
      Math.min(1, (worth.chances[40] ?? 0) / best),
      6,
    );
    expect(() => scoreCall(question, { kind: 'pick', pick: '1' })).toThrow(RangeError);
  });
});

describe('which suit, and which is the key ball', () => {
  it('a suit is lower or higher, and the one of which no ball can be reached is worth less', () => {
    const question = firstPosed('which suit');
    if (question.kind !== 'which suit') throw new Error('another kind');
    expect(picksOf(question)).toEqual(['lower', 'higher']);
    expect(new Set(question.worth.map(({ pick }) => pick))).toEqual(new Set(['lower', 'higher']));
    expect(question.truth).toBe(question.worth[0]?.pick);
    expect(Number(question.pot) < 8).toBe(question.truth === 'lower');
    expect(poseFromSeed(SNOOKER, 'which suit', 'plain', 1)).toBeUndefined();
  });

  it('a key ball is one of the plan’s, and nothing else costs as much in another’s place', () => {
    const question = firstPosed('key ball');
    if (question.kind !== 'key ball') throw new Error('another kind');
    expect([...question.order].sort()).toEqual([...picksOf(question)].sort());
    expect(question.order).toContain(question.truth);
    expect(question.order.indexOf(question.instead)).toBeGreaterThan(question.order.indexOf(question.truth));
    const costs = question.worth.map(({ value }) => value);
    expect(costs[0]).toBeGreaterThan(1.3 * (costs[1] ?? 0));
    expect(scoreCall(question, { kind: 'pick', pick: question.truth })).toBe(1);
  });
});
