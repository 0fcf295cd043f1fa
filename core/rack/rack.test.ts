import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { spotsOf } from '../table/markings.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { rackBalls, type RackKind } from './rack.ts';

const POOL = TABLE_PRESETS['pool-9ft'];
const SMALL = TABLE_PRESETS['eight-7ft'];
const SNOOKER = TABLE_PRESETS['snooker-12ft'];
const RACKS: readonly (readonly [RackKind, typeof POOL, number])[] = [
  ['nine', POOL, 9],
  ['eight', POOL, 15],
  ['eight on the spot', SMALL, 15],
  ['reds', SNOOKER, 15],
];
const at = (balls: ReturnType<typeof rackBalls>, id: string) => balls.find((ball) => ball.id === id)!;

describe.each(RACKS)('a rack of %s', (kind, preset, count) => {
  const across = 2 * preset.ballRadius;

  it('has its balls once each, every one touching at least two others and none in another', () => {
    const balls = rackBalls(kind, preset);
    expect(new Set(balls.map((ball) => ball.id)).size).toBe(count);
    for (const ball of balls) {
      const gaps = balls.filter((other) => other !== ball).map((other) => distance(ball, other) - across);
      expect(Math.min(...gaps)).toBeGreaterThan(-1e-9);
      expect(gaps.filter((gap) => Math.abs(gap) < 1e-9).length).toBeGreaterThanOrEqual(2);
    }
  });

  it('is a mirror image of itself along the table, and opens evenly with a gap', () => {
    const tight = rackBalls(kind, preset);
    for (const ball of tight) {
      const twin = tight.some((other) => distance(other, { x: ball.x, y: preset.width - ball.y }) < 1e-9);
      expect(twin).toBe(true);
    }
    const loose = rackBalls(kind, preset, 0.001);
    const nearest = (balls: typeof loose, ball: (typeof loose)[number]) =>
      Math.min(...balls.filter((other) => other !== ball).map((other) => distance(ball, other)));
    for (const ball of loose) expect(nearest(loose, ball)).toBeCloseTo(across + 0.001, 9);
  });
});

describe('where a rack stands', () => {
  it('the head ball on the foot spot, the nine in the middle; the small table’s eight on the spot', () => {
    const foot = (preset: typeof POOL) => spotsOf(preset).find((spot) => spot.name === 'foot')!.at;
    const nine = rackBalls('nine', POOL);
    expect(distance(at(nine, '1'), foot(POOL))).toBeLessThan(1e-12);
    expect(at(nine, '9').y).toBeCloseTo(POOL.width / 2, 12);
    expect(distance(at(rackBalls('eight on the spot', SMALL), '8'), foot(SMALL))).toBeLessThan(1e-12);
    const head = rackBalls('eight', POOL);
    // The eight is the middle of the third row: two rows behind the head ball.
    expect(at(head, '8').x - at(head, '1').x).toBeCloseTo(2 * POOL.ballRadius * Math.sqrt(3), 12);
  });

  it('the reds behind the pink, as near as they may without touching', () => {
    const pink = spotsOf(SNOOKER).find((spot) => spot.name === 'pink')!.at;
    const gap = distance(at(rackBalls('reds', SNOOKER), 'red 1'), pink) - 2 * SNOOKER.ballRadius;
    expect(gap).toBeGreaterThan(0);
    expect(gap).toBeLessThan(0.002);
  });

  it('not on a table without its spot', () => {
    expect(() => rackBalls('reds', POOL)).toThrow('no pink spot');
    expect(() => rackBalls('nine', SNOOKER)).toThrow('no foot spot');
  });
});
