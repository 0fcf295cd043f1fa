import { describe, expect, it } from 'vitest';
import type { BreakSum } from '../records/roundSums.ts';
import { createRandom } from '../random/random.ts';
import { allBreaks, compareBreaks, groupBreaks } from './breakComparison.ts';

const sum = (change: Partial<BreakSum>): BreakSum => ({
  cue: null,
  place: null,
  aim: null,
  pace: null,
  rackBy: null,
  breaks: 1,
  good: 0,
  inOffs: 0,
  balls: 0,
  ...change,
});

describe('breaks', () => {
  it('stand together by a trait, those of which nobody noted it left out', () => {
    const breaks = [
      sum({ cue: 'light', place: 'left', breaks: 20, good: 12, inOffs: 2, balls: 30 }),
      sum({ cue: 'light', place: 'middle', breaks: 10, good: 3, balls: 5 }),
      sum({ cue: 'heavy', breaks: 40, good: 20, balls: 40 }),
      sum({ breaks: 5 }),
    ];
    expect(groupBreaks(breaks, 'cue').map(({ value, breaks: n, good }) => [value, n, good.share])).toEqual([
      ['heavy', 40, 0.5],
      ['light', 30, 0.5],
    ]);
    expect(allBreaks(breaks)).toMatchObject({ breaks: 75, ballsEach: 1 });
    expect(groupBreaks(breaks, 'pace')).toEqual([]);
  });

  it('stand by the speed that was measured, the slowest first, with dry ones and run-outs of those that were noted', () => {
    const breaks = [
      sum({ speed: 10, breaks: 4, dry: 2, followed: 0, runOuts: 0 }),
      sum({ speed: 8, breaks: 6, dry: 3, followed: 4, runOuts: 1 }),
      sum({ breaks: 10 }),
    ];
    expect(groupBreaks(breaks, 'speed').map(({ value }) => value)).toEqual(['8', '10']);
    // Ten of before were not counted so.
    const all = allBreaks(breaks);
    expect([all.dry.share, all.runOuts.share, all.followed]).toEqual([0.5, 0.25, 4]);
    expect(all.breaks).toBe(20);
  });

  it('of two cues are told apart only when the data carry it, and by about as many more as are said', () => {
    const breaks = (n: number) => [
      sum({ cue: 'light', breaks: n, good: Math.round(0.6 * n) }),
      sum({ cue: 'heavy', breaks: n, good: Math.round(0.5 * n) }),
    ];
    const few = compareBreaks(breaks(30), 'cue', 'light', 'heavy');
    expect(few.better).toBeUndefined();
    const needed = 30 + (few.moreEach ?? 0);
    expect(compareBreaks(breaks(Math.round(0.8 * needed)), 'cue', 'light', 'heavy').better).toBeUndefined();
    expect(compareBreaks(breaks(Math.round(1.25 * needed)), 'cue', 'light', 'heavy').better).toBe('a');
    expect(() => compareBreaks(breaks(10), 'cue', 'light', 'none such')).toThrow(RangeError);
  });

  it('of cues that are alike are seldom called different', () => {
    const random = createRandom(5);
    let called = 0;
    for (let trial = 0; trial < 400; trial++) {
      const made = () => Array.from({ length: 60 }, () => random.uniform() < 0.55).filter(Boolean).length;
      const breaks = [
        sum({ cue: 'a', breaks: 60, good: made() }),
        sum({ cue: 'b', breaks: 60, good: made() }),
      ];
      if (compareBreaks(breaks, 'cue', 'a', 'b').better !== undefined) called++;
    }
    // Ten in a hundred at 90 %.
    expect(called).toBeGreaterThan(20);
    expect(called).toBeLessThan(60);
  });
});
