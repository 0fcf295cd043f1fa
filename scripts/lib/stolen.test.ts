import { describe, expect, it } from 'vitest';
import { lookAtTicks, stolenShare, ticksOf } from './stolen.ts';

describe('the time that a host gives to other machines', () => {
  it('is the eighth count of the kernel’s first line, of all that stand up to it', () => {
    const stat = 'cpu  100 0 50 800 10 0 5 35 7 3\ncpu0 1 2 3 4 5 6 7 8 9 10\n';
    expect(ticksOf(stat)).toEqual({ all: 1000, stolen: 35 });
    const later = ticksOf('cpu  150 0 60 840 10 0 5 135 7 3');
    expect(stolenShare(ticksOf(stat), later)).toBe(0.5);
  });

  it('is none where the kernel tells nothing, or no time has passed', () => {
    expect(ticksOf('')).toEqual({ all: 0, stolen: 0 });
    expect(stolenShare({ all: 5, stolen: 1 }, { all: 5, stolen: 1 })).toBe(0);
  });

  it('only grows on this machine', async () => {
    const before = await lookAtTicks();
    const after = await lookAtTicks();
    expect(after.all).toBeGreaterThanOrEqual(before.all);
    const share = stolenShare(before, after);
    expect(share).toBeGreaterThanOrEqual(0);
    expect(share).toBeLessThanOrEqual(1);
  });
});
