import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../../player/levels.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { rackBalls } from '../../rack/rack.ts';
import { POOL, SNOOKER } from '../../testing/balls.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { clothLinesOf } from '../../table/markings.ts';
import { bestBreak, breaksToTry } from './bestBreak.ts';
import { breakShot } from './breakShot.ts';
import { studyBreak, type BreakQuestion } from './breakStudy.ts';
import { worthOf, worthOfBreak } from './breakWorth.ts';

const FROM_THE_MIDDLE = { ...FROM_THE_RAIL, from: { x: POOL.length / 4, y: POOL.width / 2 } };
const MISSES = { ...FROM_THE_RAIL, covered: 0.1 };
const QUESTION: BreakQuestion = {
  table: POOL,
  rack: { kind: 'nine', quality: RACK_QUALITIES.template },
  stroke: FROM_THE_MIDDLE,
  error: executionErrorOf('match', 'pool'),
  breaks: 1,
  seed: 5,
};

describe('the best break', () => {
  it('of a few is the one that a study of each finds, and its gain is that of fresh breaks', () => {
    const shares: number[] = [];
    const { stroke, tried, best, own, gain } = bestBreak(QUESTION, (share) => shares.push(share), [
      MISSES,
      FROM_THE_RAIL,
      { ...FROM_THE_MIDDLE, covered: 0.7 },
    ]);
    expect(tried).toBe(3);
    expect(stroke).toEqual(FROM_THE_RAIL);
    const worthBy = (from: typeof stroke) => {
      const { played } = studyBreak({ ...QUESTION, stroke: from, breaks: 300, seed: 99 });
      return worthOf(played.map((one) => worthOfBreak('nine', one)));
    };
    const [good, plain] = [worthBy(FROM_THE_RAIL), worthBy(FROM_THE_MIDDLE)];
    expect(good.worth).toBeGreaterThan(plain.worth);
    const apart = Math.hypot(good.error, plain.error, gain.error);
    expect(Math.abs(gain.worth - (good.worth - plain.worth))).toBeLessThan(3.5 * apart);
    expect(best.near.in).toBeGreaterThan(own.near.in + 0.3);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(shares.at(-1)).toBeCloseTo(1, 9);
  });

  it('is the breaker’s own where nothing else is better', () => {
    const { stroke, gain } = bestBreak({ ...QUESTION, stroke: FROM_THE_RAIL }, undefined, [MISSES]);
    expect(stroke).toEqual(FROM_THE_RAIL);
    expect(gain).toEqual({ worth: 0, error: 0 });
  });

  it.each([
    ['nine', POOL, FROM_THE_RAIL],
    ['reds', SNOOKER, { ...FROM_THE_RAIL, from: { x: clothLinesOf(SNOOKER.preset).acrossAt, y: 1 } }],
  ] as const)('is looked for among strokes that can be played, in the mirror too: %s', (kind, table, own) => {
    const strokes = breaksToTry(table, kind, own);
    const racked = rackBalls(kind, table.preset);
    for (const stroke of strokes) {
      expect(() => breakShot(table, racked, stroke)).not.toThrow();
      const { radius } = breakShot(table, racked, stroke).balls[0]!;
      expect(stroke.from.y).toBeGreaterThan(radius);
      expect(stroke.from.y).toBeLessThan(table.width - radius);
    }
    const key = ({ from, past, speed, covered }: (typeof strokes)[number]) =>
      [from.y.toFixed(9), past, speed, covered].join();
    const all = new Set(strokes.map(key));
    for (const stroke of strokes.filter(({ covered }) => covered < 1)) {
      const mirrored = {
        ...stroke,
        from: { ...stroke.from, y: table.width - stroke.from.y },
        past: stroke.past === 'left' ? ('right' as const) : ('left' as const),
      };
      expect(all.has(key(mirrored))).toBe(true);
    }
  });
});

describe('what a break is worth', () => {
  it('is the next pot after a ball down, nothing after a foul; of a break-off that nothing is on', () => {
    expect(worthOfBreak('nine', { foul: false, down: [3], next: 0.4 })).toBe(0.4);
    expect(worthOfBreak('nine', { foul: false, down: [], next: 0.4 })).toBe(0);
    expect(worthOfBreak('nine', { foul: true, down: [3], next: 0.4 })).toBe(0);
    expect(worthOfBreak('reds', { foul: false, down: [], next: 0.25 })).toBe(0.75);
    expect(worthOfBreak('reds', { foul: true, down: [], next: 0.25 })).toBe(0);
    expect(worthOf([1, 0, 1, 0])).toEqual({ worth: 0.5, error: 0.25 });
  });
});
