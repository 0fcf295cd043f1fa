import { describe, expect, it } from 'vitest';
import { distance, type Point } from '../../math/point.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { createRandom } from '../../random/random.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { POOL } from '../../testing/balls.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { studyBreak, type BreakQuestion, type PlayedBreak } from './breakStudy.ts';
import { leftBy, leftPatterns } from './leftPatterns.ts';

/** A break that left the cue ball and three balls there; the last of the rack fell. */
function left(cueAt: Point, rests: readonly Point[], change: Partial<PlayedBreak> = {}): PlayedBreak {
  return {
    down: [rests.length],
    cueAt,
    foul: false,
    inOff: false,
    offTable: false,
    wings: ['in', 'short'],
    rests: [...rests, undefined],
    disturbed: 4,
    next: 0.5,
    clears: undefined,
    ...change,
  };
}

const random = createRandom(8);
const near = ({ x, y }: Point): Point => ({
  x: x + 0.02 * random.normal(),
  y: y + 0.02 * random.normal(),
});
const ONE: readonly Point[] = [
  { x: 1.2, y: 0.6 },
  { x: 0.5, y: 0.5 },
  { x: 2, y: 0.3 },
  { x: 1, y: 1 },
];
const OTHER: readonly Point[] = [
  { x: 0.8, y: 0.3 },
  { x: 1.8, y: 1 },
  { x: 2, y: 0.3 },
  { x: 0.3, y: 0.9 },
];
const like = ([cue, ...rests]: readonly Point[], change?: Partial<PlayedBreak>) =>
  left(near(cue!), rests.map(near), change);

describe('tables that breaks leave', () => {
  it('of two kinds are found, with their shares, by one of each that really came', () => {
    const played = [
      ...Array.from({ length: 14 }, () => like(ONE, { next: 0.8 })),
      ...Array.from({ length: 6 }, () => like(OTHER, { next: 0.3 })),
      // After a foul, or a dry break, somebody else goes on; where nothing is on there is nothing to train.
      like(OTHER, { foul: true }),
      like(OTHER, { down: [] }),
      like(ONE, { next: 0.1 }),
    ];
    const { wentOn, on, patterns, explained } = leftPatterns('nine', played, 2);
    expect([wentOn, on]).toEqual([21, 20]);
    expect(patterns.map(({ share }) => share)).toEqual([0.7, 0.3]);
    expect(patterns.map(({ next }) => next)).toEqual([expect.closeTo(0.8), expect.closeTo(0.3)]);
    expect(patterns[0]!.number).toBeLessThan(14);
    expect(patterns[1]!.number).toBeGreaterThanOrEqual(14);
    expect(explained).toBeGreaterThan(0.8);
    for (const [k, kind] of [ONE, OTHER].entries()) {
      const balls = patterns[k]!.balls;
      expect(balls.map(({ place }) => place)).toEqual(['cue', 0, 1, 2, 3]);
      kind.forEach((at, i) => {
        expect(distance(balls[i]!.at!, at)).toBeLessThan(0.08);
        expect(balls[i]!.within).toBeLessThan(0.06);
      });
      expect(balls.at(-1)).toEqual({ place: 3, at: undefined, within: undefined });
    }
  });

  it('are explained by what the best choice of all would leave', () => {
    const played = Array.from({ length: 12 }, () =>
      left(
        { x: 2 * random.uniform(), y: random.uniform() },
        Array.from({ length: 3 }, () => ({ x: 2.5 * random.uniform(), y: 1.2 * random.uniform() })),
      ),
    );
    // What any two of them leave, reckoned anew: the cue ball counts three times, the head ball twice.
    const unlike = (a: PlayedBreak, b: PlayedBreak) =>
      [a.cueAt, ...a.rests].reduce((sum, at, i) => {
        const other = [b.cueAt, ...b.rests][i];
        const weight = [3, 2, 1, 1, 1][i]!;
        return sum + (at && other ? weight * Math.min(0.6, distance(at, other)) : 0);
      }, 0);
    const cost = (chosen: readonly PlayedBreak[]) =>
      played.reduce((sum, one) => sum + Math.min(...chosen.map((each) => unlike(one, each))), 0);
    const alone = Math.min(...played.map((one) => cost([one])));
    const pairs = played.flatMap((a, i) => played.slice(i + 1).map((b) => cost([a, b])));
    const { explained, patterns } = leftPatterns('nine', played, 2);
    const own = cost(patterns.map(({ number }) => played[number]!));
    expect(explained).toBeCloseTo(1 - own / alone, 9);
    // Exchanging one at a time comes within a few hundredths of the best pair.
    expect(own).toBeLessThan(1.04 * Math.min(...pairs));
    expect(patterns.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  it('are none where every break is dry, and as many as breaks at most', () => {
    expect(leftPatterns('nine', [like(ONE, { down: [] })], 3)).toEqual({
      wentOn: 0,
      on: 0,
      patterns: [],
      explained: 1,
    });
    expect(leftPatterns('nine', [like(ONE)], 3).patterns).toHaveLength(1);
  });

  it('of a break-off are all without a foul, with nothing down', () => {
    const played = [like(ONE, { down: [], next: 0.05 }), like(ONE, { foul: true })];
    expect(leftPatterns('reds', played, 2)).toMatchObject({ wentOn: 1, on: 1 });
  });

  it('can be laid out again with their numbers, and the ball before the wing ball rests within a hand’s breadth', () => {
    const question: BreakQuestion = {
      table: POOL,
      rack: { kind: 'nine', quality: RACK_QUALITIES.template },
      stroke: { ...FROM_THE_RAIL, speed: 5.5 },
      error: executionErrorOf('title', 'pool'),
      breaks: 60,
      seed: 2,
    };
    const { played } = studyBreak(question);
    const { patterns } = leftPatterns('nine', played, 3);
    for (const { number, balls } of patterns) {
      const laid = leftBy(question, number);
      const there = balls.flatMap(({ at }) => at ?? []);
      expect(laid).toHaveLength(there.length);
      for (const at of there) expect(Math.min(...laid.map((ball) => distance(ball, at)))).toBeLessThan(1e-9);
      expect(laid.map(({ id }) => id)).toContain('cue');
      // The second ball on the breaker’s side, in half of the breaks.
      expect(balls.find(({ place }) => place === 1)?.within).toBeLessThan(0.15);
    }
  });
});
