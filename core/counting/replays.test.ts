import { describe, expect, it } from 'vitest';
import type { MissedWays } from './kickScore.ts';
import { replaysOf } from './replays.ts';

const NONE: MissedWays = { left: 0, right: 0, short: 0 };
const kick = (repeats: number, missed?: Partial<MissedWays>) => ({
  repeats,
  ...(missed === undefined ? {} : { missed: { ...NONE, ...missed } }),
});

describe('the called misses of a round', () => {
  it('are summed up with what they cost', () => {
    expect(replaysOf([kick(2), kick(0), kick(3, { left: 1 })], 4)).toEqual({
      misses: 5,
      points: 20,
      drift: undefined,
    });
    expect(replaysOf([], 4)).toEqual({ misses: 0, points: 0, drift: undefined });
    expect(replaysOf([kick(3)], 0).points).toBe(0);
  });

  it('drift one way when that can hardly be chance: four of four, not three of three', () => {
    expect(replaysOf([kick(3, { left: 3 })], 4).drift).toBeUndefined();
    expect(replaysOf([kick(2, { left: 2 }), kick(2, { left: 2 })], 4).drift).toEqual({
      way: 'left',
      count: 4,
      told: 4,
    });
    expect(replaysOf([kick(6, { right: 4, left: 2 })], 4).drift).toBeUndefined();
    expect(replaysOf([kick(12, { short: 10, left: 2 })], 4).drift).toEqual({
      way: 'short',
      count: 10,
      told: 12,
    });
  });

  it('that nobody told anything of say nothing of the way', () => {
    expect(replaysOf([kick(9)], 4).drift).toBeUndefined();
  });

  it('drift wrongly in few rounds of even misses: of all ways that six can go, one in 32', () => {
    let drifting = 0;
    for (let bits = 0; bits < 64; bits++) {
      const left = [0, 1, 2, 3, 4, 5].filter((k) => (bits >> k) & 1).length;
      if (replaysOf([kick(6, { left, right: 6 - left })], 4).drift !== undefined) drifting++;
    }
    expect(drifting).toBe(2);
  });
});
