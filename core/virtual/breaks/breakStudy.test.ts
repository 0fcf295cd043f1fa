import { describe, expect, it } from 'vitest';
import { executionErrorOf, type LevelName } from '../../player/levels.ts';
import type { RackWish } from '../../rack/drawnRack.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { POOL } from '../../testing/balls.ts';
import type { BreakStroke } from './breakShot.ts';
import { studyBreak } from './breakStudy.ts';

/** From near the side rail on the head string, the head ball full. */
const STROKE: BreakStroke = {
  from: { x: POOL.length / 4, y: 0.12 },
  at: 0,
  covered: 1,
  past: 'left',
  speed: 6,
  tip: { side: 0, height: 0 },
  elevation: 0,
};
const TIGHT: RackWish = { kind: 'nine', quality: RACK_QUALITIES.tight };

function study(
  rack: RackWish = TIGHT,
  stroke: Partial<BreakStroke> = {},
  { level = 'match', breaks = 60, seed = 4711 }: { level?: LevelName; breaks?: number; seed?: number } = {},
) {
  const error = executionErrorOf(level, 'pool');
  return studyBreak({ table: POOL, rack, stroke: { ...STROKE, ...stroke }, error, breaks, seed });
}
const loose = (mm: number): RackWish => ({ kind: 'nine', quality: { gap: mm * 1e-3, offset: 0, tilt: 0 } });
const open = (between: readonly [number, number], mm: number): RackWish => ({
  ...TIGHT,
  gaps: [{ between, gap: mm * 1e-3 }],
});

describe('the wing ball of a nine-ball rack', () => {
  it('falls in nine of ten from near the rail with a tight rack, nearly as often from a template, never from the middle', () => {
    expect(study().near.in).toBeGreaterThanOrEqual(0.9);
    expect(study({ kind: 'nine', quality: RACK_QUALITIES.template }, { speed: 6.5 }).near.in).toBeGreaterThan(
      0.75,
    );
    expect(study(TIGHT, { from: { x: POOL.length / 4, y: POOL.width / 2 } }).near.in).toBeLessThan(0.05);
  });

  it('falls ever less the wider the gaps are', () => {
    const shares = [0.02, 0.1, 0.3].map((mm) => study(loose(mm), {}, { level: 'title', breaks: 80 }).near.in);
    expect(shares[0]).toBeGreaterThan(0.92);
    expect(shares[1]).toBeLessThan((shares[0] ?? 0) - 0.2);
    expect(shares[2]).toBeLessThan((shares[1] ?? 0) - 0.2);
  });

  it('goes low by a small gap in the near diagonal, high by a wide one, and high at once by one in the far', () => {
    const small = study(open([0, 1], 0.1)).near;
    expect(small.low).toBeGreaterThan(small.high + 0.3);
    const wide = study(open([0, 1], 0.6)).near;
    expect(wide.high).toBeGreaterThan(wide.low + 0.3);
    expect(study(open([0, 2], 0.15)).near.high).toBeGreaterThan(0.9);
  });

  it('goes high where the head ball is hit past its far side', () => {
    expect(study(TIGHT, { covered: 0.85, past: 'left' }).near.high).toBeGreaterThan(0.8);
  });

  it('on the far side passes above its pocket', () => {
    expect(study().far.high).toBeGreaterThan(0.95);
  });
});

describe('many breaks', () => {
  it('add up, and are the same from the same seed', () => {
    const some = study(loose(0.1), {}, { breaks: 30 });
    expect(some.played).toHaveLength(30);
    const down = some.played.reduce((sum, one) => sum + one.down.length, 0);
    expect(some.ballsDown).toBeCloseTo(down / 30, 12);
    expect(some.dry.share).toBeCloseTo(some.played.filter((one) => one.down.length === 0).length / 30, 12);
    for (const one of some.played) {
      expect(one.rests.filter((at) => at === undefined)).toHaveLength(
        one.down.length + (one.offTable ? 1 : 0),
      );
      expect(one.cueAt === undefined ? one.next : 0).toBe(0);
    }
    expect(study(loose(0.1), {}, { breaks: 30 })).toEqual(some);
    expect(() => study(TIGHT, {}, { breaks: 0 })).toThrow(RangeError);
    expect(() => study(TIGHT, { at: 12 }, { breaks: 1 })).toThrow('no ball 12');
  });
});
