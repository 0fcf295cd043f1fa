import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { countClearOrRestart } from './clearOrRestart.ts';
import { countLadderByRacks, passChance } from './ladderByRacks.ts';
import { countLadderBySingle } from './ladderBySingle.ts';

/** W and L in a row as racks. */
const racks = (text: string) => Array.from(text).map((letter) => ({ cleared: letter === 'W' }));

describe('a ladder by racks, two of three', () => {
  const ladder = { rungs: [3, 4, 5, 7], start: 0, wins: 2, of: 3 };

  it.each([
    // racks, value, rung, won, lost, over, next start
    ['', 0, 0, 0, 0, false, 0],
    ['W', 0, 0, 1, 0, false, 0],
    ['WW', 3, 1, 0, 0, false, 0],
    ['WLW', 3, 1, 0, 0, false, 0],
    ['LL', 0, 0, 0, 2, true, 0],
    ['WLL', 0, 0, 1, 2, true, 0],
    ['WWLWLWW', 3, 1, 1, 2, true, 0],
    ['WWWWLWW', 5, 3, 0, 0, false, 2],
    ['WWWWLWWLWW', 7, 3, 2, 1, true, 3],
    ['WWWWLWWLWWLLL', 7, 3, 2, 1, true, 3],
  ] as const)('after %s', (text, value, rung, won, lost, complete, nextStart) => {
    const tally = countLadderByRacks(racks(text), ladder);
    expect(tally).toMatchObject({ value, rung, won, lost, complete, nextStart, maximum: 7 });
  });

  it('starts where the last one was passed, and falls back by one when that fails', () => {
    expect(countLadderByRacks(racks('LWL'), { ...ladder, start: 2 })).toMatchObject({
      value: 4,
      complete: true,
      nextStart: 1,
    });
  });

  it('is passed with the chance p²(3 − 2p), as a thousand played ladders show', () => {
    for (const p of [0, 0.2, 0.5, 0.8, 1]) expect(passChance(p, 2, 3)).toBeCloseTo(p * p * (3 - 2 * p), 12);
    expect(passChance(0.3, 1, 1)).toBeCloseTo(0.3, 12);
    // Three of five: sum over the losses before the third win.
    const p = 0.6;
    expect(passChance(p, 3, 5)).toBeCloseTo(p ** 3 * (1 + 3 * 0.4 + 6 * 0.16), 12);
    const random = createRandom(77);
    let passed = 0;
    for (let round = 0; round < 4000; round++) {
      const played = Array.from({ length: 5 }, () => ({ cleared: random.uniform() < p }));
      const tally = countLadderByRacks(played, { rungs: [1, 2], start: 0, wins: 3, of: 5 });
      if (tally.value > 0) passed++;
    }
    expect(Math.abs(passed / 4000 - passChance(p, 3, 5))).toBeLessThan(4 * Math.sqrt(0.25 / 4000));
  });
});

describe('a ladder by single clears', () => {
  const ladder = { start: 3, lowest: 2, top: 6, onMiss: 'down one' as const, attempts: 8 };

  it('adds a ball for a clear and takes one for a miss, not below the lowest', () => {
    const balls = ['', 'W', 'WL', 'WLL', 'WLLL', 'WLLLW'].map(
      (text) => countLadderBySingle(racks(text), ladder).balls,
    );
    expect(balls).toEqual([3, 4, 3, 2, 2, 3]);
    expect(countLadderBySingle(racks('WLLLW'), ladder).value).toBe(3);
  });

  it('or goes back to the start', () => {
    const back = { ...ladder, onMiss: 'back to start' as const };
    expect(countLadderBySingle(racks('WWL'), back)).toMatchObject({ balls: 3, value: 4 });
  });

  it('ends with the top cleared, or with the last attempt', () => {
    expect(countLadderBySingle(racks('WWWW'), ladder)).toMatchObject({ value: 6, complete: true });
    expect(countLadderBySingle(racks('LLLLLLLL'), ladder)).toMatchObject({ value: 0, complete: true });
    expect(countLadderBySingle(racks('WWW'), ladder).complete).toBe(false);
  });

  it('never leaves its bounds, and a clear more is never worse', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 12 }), fc.nat(11), (played, at) => {
        const attempts = played.map((cleared) => ({ cleared }));
        const tally = countLadderBySingle(attempts, ladder);
        expect(tally.balls).toBeGreaterThanOrEqual(2);
        expect(tally.balls).toBeLessThanOrEqual(6);
        const better = attempts.map((attempt, i) => (i === at ? { cleared: true } : attempt));
        expect(countLadderBySingle(better, ladder).value).toBeGreaterThanOrEqual(tally.value);
      }),
      { seed: 11 },
    );
  });
});

describe('clear or restart', () => {
  const settings = { layouts: [4, 6, 9], attempts: 6 };
  const miss = (balls: number) => ({ balls, cleared: false });
  const clear = (balls: number) => ({ balls, cleared: true });

  it('counts clean clears, keeps what was made before each reset, and brings the larger layout', () => {
    expect(countClearOrRestart([miss(2), clear(4), miss(5), miss(3)], settings)).toMatchObject({
      value: 1,
      layout: 1,
      beforeResets: [2, 5, 3],
      complete: false,
    });
    expect(countClearOrRestart([clear(4), clear(6), clear(9), miss(1)], settings)).toMatchObject({
      value: 3,
      beforeResets: [],
      complete: true,
    });
    expect(
      countClearOrRestart(
        Array.from({ length: 9 }, () => miss(1)),
        settings,
      ),
    ).toMatchObject({
      value: 0,
      beforeResets: [1, 1, 1, 1, 1, 1],
      complete: true,
    });
  });
});
