import { describe, expect, it } from 'vitest';
import { distance, type Point } from '../math/point.ts';
import { executionErrorOf } from '../player/levels.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { ball, POOL } from '../testing/balls.ts';
import { chanceAt, gridOver, gridWhereItChanges } from './grid.ts';
import { potLines, viewOf } from './potOptions.ts';
import { cueBallAt } from './windowAmong.ts';

/** A hill with a plateau, a sheer drop on one side and nothing around it. */
function hill(place: Point): number {
  const from = distance(place, { x: 1.1, y: 0.6 });
  if (place.x > 1.5) return 0;
  return Math.max(0, Math.min(0.9, 1.4 - 2 * from));
}

describe('a grid worked out where the ground changes', () => {
  it('holds the full one’s values within a hundredth, and asks less', () => {
    let asked = 0;
    const full = gridOver(POOL, 0.02, hill);
    const some = gridWhereItChanges(POOL, 0.02, (place) => {
      asked++;
      return hill(place);
    });
    expect([some.columns, some.rows, some.dx]).toEqual([full.columns, full.rows, full.dx]);
    const off = some.chances.map((chance, k) => Math.abs(chance - full.chances[k]!));
    expect(Math.max(...off)).toBeLessThan(0.01);
    expect(asked).toBeLessThan(0.75 * full.chances.length);
  });

  it('holds the window of a pot among other balls within a hundredth, but where a ball’s shadow is narrower', () => {
    const object = ball('1', 1.9, 0.9);
    const others = [ball('2', 1.5, 0.75), ball('3', 0.9, 0.3)];
    const [line] = potLines(POOL, [object, ...others], ['1'], acceptanceOf, ['foot-left']);
    const error = executionErrorOf('team', 'pool');
    const value = (place: Point) => viewOf(POOL, cueBallAt(POOL, place), line!, others, error, {}).chance;
    const full = gridOver(POOL, 0.02, value);
    const some = gridWhereItChanges(POOL, 0.02, value);
    const far = some.chances.filter((chance, k) => Math.abs(chance - full.chances[k]!) > 0.01);
    expect(far.length / full.chances.length).toBeLessThan(0.01);
    for (const place of [
      { x: 1.2, y: 0.8 },
      { x: 0.7, y: 0.9 },
      { x: 1.7, y: 0.6 },
    ]) {
      expect(Math.abs(chanceAt(some, place) - value(place))).toBeLessThan(0.05);
    }
  });
});
