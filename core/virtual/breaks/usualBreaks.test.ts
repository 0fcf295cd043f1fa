import { describe, expect, it } from 'vitest';
import { rackBalls } from '../../rack/rack.ts';
import { POOL, SNOOKER } from '../../testing/balls.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { clothLinesOf } from '../../table/markings.ts';
import { breakShot, type BreakStroke } from './breakShot.ts';
import { usualBreaks } from './usualBreaks.ts';

const mirrored = (own: BreakStroke): BreakStroke => ({
  ...own,
  from: { ...own.from, y: POOL.width - own.from.y },
});

describe('the breaks that are chosen between', () => {
  it('are on the head ball and on the second ball, slow and firm, from the breaker’s own place', () => {
    const usual = usualBreaks('nine', FROM_THE_RAIL, POOL);
    expect(usual.map(({ name }) => name)).toEqual([
      'Head ball, slow',
      'Head ball, firm',
      'Second ball, slow',
      'Second ball, firm',
    ]);
    expect(usual.map(({ stroke }) => stroke.at)).toEqual([0, 0, 1, 1]);
    for (const { stroke } of usual) expect(stroke.from).toEqual(FROM_THE_RAIL.from);
    const [slow, firm] = usual.map(({ stroke }) => stroke.speed);
    expect(firm).toBeGreaterThan(slow! + 1);
  });

  it('take the second ball on the breaker’s own side, in the mirror on the other', () => {
    const racked = rackBalls('nine', POOL.preset);
    const away = (own: BreakStroke) => {
      const second = usualBreaks('nine', own, POOL)[2]!.stroke;
      const { balls, strike } = breakShot(POOL, racked, second);
      const target = racked[second.at]!;
      // On the near side of the middle, and the cue ball passes it on its outside.
      const toTarget = Math.atan2(target.y - balls[0]!.y, target.x - balls[0]!.x);
      return { side: Math.sign(target.y - POOL.width / 2), turn: strike.direction - toTarget };
    };
    const [right, left] = [away(FROM_THE_RAIL), away(mirrored(FROM_THE_RAIL))];
    expect(right.side).toBe(-1);
    expect(left.side).toBe(1);
    expect(right.turn).toBeLessThan(0);
    expect(left.turn).toBeCloseTo(-right.turn, 9);
  });

  it('are thick and thin, soft and firm at a break-off, and each can be played', () => {
    const own = { ...FROM_THE_RAIL, from: { x: clothLinesOf(SNOOKER.preset).acrossAt, y: 1 }, at: 14 };
    const usual = usualBreaks('reds', own, SNOOKER);
    expect(new Set(usual.map(({ stroke }) => `${stroke.covered} ${stroke.speed}`)).size).toBe(4);
    for (const { stroke } of usual)
      expect(breakShot(SNOOKER, rackBalls('reds', SNOOKER.preset), stroke).balls).toHaveLength(22);
  });
});
