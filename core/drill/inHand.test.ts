import { describe, expect, it } from 'vitest';
import { clothLinesOf } from '../table/markings.ts';
import { POOL, SNOOKER } from '../testing/balls.ts';
import { inHandAfter, placesInHand } from './inHand.ts';

describe('a cue ball in hand', () => {
  const behind = { start: 'in hand behind the line', area: null } as const;

  it('lies in the half circle of a snooker table, and behind the line of a pool table', () => {
    const { acrossAt, dRadius } = clothLinesOf(SNOOKER.preset);
    const places = placesInHand(SNOOKER.preset, behind) ?? [];
    expect(places.length).toBeGreaterThan(20);
    for (const { x, y } of places) {
      expect(x).toBeLessThanOrEqual(acrossAt);
      expect(Math.hypot(x - acrossAt, y - SNOOKER.width / 2)).toBeLessThan(dRadius ?? 0);
    }
    const line = clothLinesOf(POOL.preset).acrossAt;
    for (const { x, y } of placesInHand(POOL.preset, behind) ?? []) {
      expect(x).toBeLessThan(line);
      expect(y > 0 && y < POOL.width).toBe(true);
    }
  });

  it('lies in the area that is named, and anywhere where nothing is said', () => {
    const area = { from: { along: 0.1, across: 0.2 }, to: { along: 0.2, across: 0.3 } };
    for (const { x, y } of placesInHand(POOL.preset, { start: 'in the area', area }) ?? []) {
      expect(Math.abs(x / POOL.length - 0.15)).toBeLessThan(0.0501);
      expect(Math.abs(y / POOL.width - 0.25)).toBeLessThan(0.0501);
    }
    expect(placesInHand(POOL.preset, { start: 'in hand', area: null })).toBeUndefined();
  });

  it('is placed behind the line each time, in an area only at the start', () => {
    const area = { from: { along: 0, across: 0 }, to: { along: 0.2, across: 1 } };
    const inArea = { cueBall: { start: 'in the area' as const, area } };
    expect(inHandAfter(inArea, 0)).toBe(inArea.cueBall);
    expect(inHandAfter(inArea, 1)).toEqual({ start: 'in hand', area: null });
    expect(inHandAfter({ cueBall: { ...behind } }, 3)).toEqual(behind);
  });
});
