import { describe, expect, it } from 'vitest';
import type { BreakSum, WingCounts } from '../records/roundSums.ts';
import { addWings, NO_WINGS, wingRecord } from './wingBall.ts';

const breaks = (wings?: Partial<WingCounts>): BreakSum => ({
  cue: null,
  place: null,
  aim: null,
  pace: null,
  rackBy: null,
  breaks: 10,
  good: 5,
  inOffs: 0,
  balls: 9,
  ...(wings === undefined ? {} : { wings: { ...NO_WINGS, ...wings } }),
});

describe('the wing ball of a player’s breaks', () => {
  it('is told of those breaks of which it was noted', () => {
    expect(wingRecord([])).toBeUndefined();
    expect(wingRecord([breaks(), breaks({})])).toBeUndefined();
    const record = wingRecord([breaks({ in: 3, high: 1 }), breaks(), breaks({ in: 1, low: 5 })]);
    expect(record).toMatchObject({ noted: 10, in: { share: 0.4 } });
    expect(record?.misses).toEqual([
      { way: 'high', count: 1 },
      { way: 'low', count: 5 },
      { way: 'knocked away', count: 0 },
    ]);
  });

  it('tends one way only where that can hardly be chance', () => {
    const tends = (wings: Partial<WingCounts>) => wingRecord([breaks(wings)])?.tends;
    expect(tends({ low: 5, high: 1 })).toBeUndefined();
    expect(tends({ low: 4 })).toBe('low');
    expect(tends({ low: 3 })).toBeUndefined();
    expect(tends({ high: 14, low: 3, 'knocked away': 2 })).toBe('high');
    expect(tends({ in: 40, 'knocked away': 6 })).toBe('knocked away');
    expect(tends({ in: 40 })).toBeUndefined();
  });

  it('adds up to the same in any order', () => {
    const all = [
      { in: 1, high: 2, low: 3, 'knocked away': 4 },
      { in: 5, high: 0, low: 1, 'knocked away': 0 },
    ];
    expect(addWings(all)).toEqual(addWings([...all].reverse()));
    expect(addWings(all)).toEqual({ in: 6, high: 2, low: 4, 'knocked away': 4 });
    expect(addWings([])).toEqual(NO_WINGS);
  });
});
