import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import { POOL, SMALL, SNOOKER } from '../testing/balls.ts';
import { tableAfterBreak } from './afterBreak.ts';

const CASES = [
  { kind: 'nine', table: POOL, last: '9', most: 10 },
  { kind: 'eight', table: POOL, last: '8', most: 16 },
  { kind: 'eight on the spot', table: SMALL, last: '8', most: 16 },
  { kind: 'reds', table: SNOOKER, last: 'black', most: 22 },
] as const;

describe('a table after a break', () => {
  it.each(CASES)(
    'of $kind holds the cue ball and the $last, apart and on the bed',
    ({ kind, table, last, most }) => {
      for (let seed = 1; seed <= 8; seed++) {
        const balls = tableAfterBreak(table, kind, 'match', seed);
        const ids = balls.map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        expect(ids).toEqual(expect.arrayContaining(['cue', last]));
        expect(ids.length).toBeLessThanOrEqual(most);
        for (const [i, a] of balls.entries()) {
          expect(a.x > 0 && a.x < table.length && a.y > 0 && a.y < table.width).toBe(true);
          for (const b of balls.slice(i + 1))
            expect(distance(a, b)).toBeGreaterThan(contactDistance(a.radius, b.radius) - 1e-6);
        }
      }
    },
  );

  it('is the same by the same seed and another by another, and spread: the rack is open', () => {
    const [one, again, other] = [3, 3, 4].map((seed) => tableAfterBreak(POOL, 'eight', 'match', seed));
    expect(again).toEqual(one);
    expect(other).not.toEqual(one);
    const xs = (one ?? []).map(({ x }) => x);
    // A rack of fifteen is a quarter of a metre long.
    expect(Math.max(...xs) - Math.min(...xs)).toBeGreaterThan(0.8);
  });

  it('is refused where the table has no spot for the rack', () => {
    expect(() => tableAfterBreak(POOL, 'reds', 'match', 1)).toThrow(RangeError);
  });
});
