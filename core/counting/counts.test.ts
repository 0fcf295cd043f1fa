import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wilson } from '../statistics/wilson.ts';
import { compareResults, medianResult, resultText, type RoundResult } from './result.ts';
import { countAttemptsToClear } from './attemptsToClear.ts';
import { countBallsMade } from './ballsMade.ts';
import { ballValue, breakMaximum, countBreakPoints, foulPenalty } from './breakPoints.ts';
import { countBreakScore } from './breakScore.ts';
import { countCalls, TOO_CLOSE } from './callIt.ts';
import { countGradedContact, type ContactGrade } from './gradedContact.ts';
import { countKicks } from './kickScore.ts';
import { countLives } from './lives.ts';
import { countSide } from './sideCount.ts';
import { countStreak } from './streak.ts';
import { countSuccessRate } from './successRate.ts';
import { countZoneRound } from './zoneRound.ts';

const tries = (text: string) => Array.from(text).map((letter) => ({ cleared: letter === 'W' }));
const made = (text: string) => Array.from(text).map((letter) => ({ made: letter === 'W' }));

describe('attempts to clear', () => {
  const result = (text: string, giveUpAfter: number | null = 5) =>
    countAttemptsToClear(tries(text), { giveUpAfter });

  it('are 1 for a clear at the first try, 3 for one at the third; what comes after does not count', () => {
    expect(result('W')).toMatchObject({ value: 1, complete: true, censored: false });
    expect(result('LLW')).toMatchObject({ value: 3, complete: true, censored: false });
    expect(result('LLWLL')).toEqual(result('LLW'));
  });

  it('of a round that is open or was given up show as more than it had', () => {
    expect(resultText(result('LL'))).toBe('> 2');
    expect(result('LL').complete).toBe(false);
    expect(result('LLLLL')).toMatchObject({ value: 5, complete: true, censored: true });
    expect(result('LLLLLLLW')).toEqual(result('LLLLL'));
    expect(result('LLLLLLLW', null)).toMatchObject({ value: 8, censored: false });
  });

  it('rank: 1 before 4, 4 before "> 4", and that before 5; the median of five is the third', () => {
    const four = result('LLLW');
    const overFour = countAttemptsToClear(tries('LLLL'), { giveUpAfter: 4 });
    const five = result('LLLLW');
    const sorted = [five, overFour, result('W'), four].sort(compareResults);
    expect(sorted.map(resultText)).toEqual(['1', '4', '> 4', '5']);
    expect(resultText(medianResult([five, overFour, result('W'), four, overFour]))).toBe('> 4');
    expect(() => compareResults(five, countStreak([], { attempts: 1 }))).toThrow(RangeError);
  });
});

describe('balls made', () => {
  it('before the fault add up over the trials: 4 + 0 + 7 of 27', () => {
    const settings = { trials: 3, balls: 9 };
    expect(
      countBallsMade(
        [4, 0, 7].map((balls) => ({ balls })),
        settings,
      ),
    ).toMatchObject({
      value: 11,
      maximum: 27,
      complete: true,
    });
    expect(countBallsMade([{ balls: 4 }], settings).complete).toBe(false);
    expect(
      countBallsMade(
        [4, 0, 7, 9].map((balls) => ({ balls })),
        settings,
      ).value,
    ).toBe(11);
  });
});

describe('lives', () => {
  const settings = { lives: 3, targets: ['a', 'b', 'c'] };
  const play = (text: string) =>
    countLives(
      text
        .split(' ')
        .filter((each) => each !== '')
        .map((each) => ({ target: each.charAt(0), made: each.endsWith('+') })),
      settings,
    );

  it('are lost by misses; a missed target stays and a done one is removed', () => {
    expect(play('a- b+ a+')).toMatchObject({ value: 1, left: ['c'], complete: false, censored: true });
    expect(play('a- b+ a+ c+')).toMatchObject({ value: 1, left: [], complete: true, censored: false });
    expect(play('a+ b+ c+')).toMatchObject({ value: 0, complete: true });
  });

  it('run out: the round ends there, and a target that is done is not missed again', () => {
    expect(play('a- a- b+ b- c- a+')).toMatchObject({
      value: 3,
      left: ['a', 'c'],
      complete: true,
      censored: true,
    });
  });
});

describe('break points', () => {
  it('have the published maxima, also of shortened layouts', () => {
    expect([15, 11, 3].map(breakMaximum)).toEqual([147, 115, 51]);
    // All reds with blacks, then the colours, ball by ball.
    const colours = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'];
    const longest = Array.from({ length: 11 }, (_, i) => [`red ${String(i + 1)}`, 'black']).flat();
    expect([...longest, ...colours].reduce((sum, id) => sum + ballValue(id), 0)).toBe(115);
    expect(() => ballValue('cue')).toThrow(RangeError);
  });

  it('are the highest break; mean and fouls stand beside it', () => {
    const visits = [
      { points: 12, penalty: 0 },
      { points: 0, penalty: 6 },
      { points: 33, penalty: 0 },
    ];
    expect(countBreakPoints(visits, { visits: 3, reds: 6 })).toMatchObject({
      value: 33,
      mean: 15,
      penalties: 6,
      maximum: 75,
      complete: true,
    });
  });

  it('fouls cost the highest of four and the balls concerned', () => {
    expect(foulPenalty(['red', 'yellow'])).toBe(4);
    expect(foulPenalty(['red 4', 'pink'])).toBe(6);
    expect(foulPenalty([])).toBe(4);
  });
});

describe('other counts', () => {
  it('zone points add up: 3 + 0 + 2 + 1 of 30, not complete after four shots of ten', () => {
    const attempts = [3, 0, 2, 1].map((points) => ({ points }));
    expect(countZoneRound(attempts, { shots: 10, perShot: 3 })).toEqual({
      value: 6,
      unit: 'points',
      better: 'high',
      maximum: 30,
      complete: false,
      censored: false,
    });
  });

  it('graded contact: full 3, thick and thin 2, cushion first 1', () => {
    const points = { full: 3, thick: 2, thin: 2, 'cushion first': 1, miss: 0 };
    const grades: ContactGrade[] = ['full', 'miss', 'thin', 'cushion first'];
    expect(
      countGradedContact(
        grades.map((grade) => ({ grade })),
        { stations: 5, points },
      ),
    ).toMatchObject({ value: 6, maximum: 15, complete: false });
  });

  it('a success rate of 7 of 10 leaves 44 to 87 % open at 90 %', () => {
    const { value, rate } = countSuccessRate(made('WWWLWWLWLW'), { attempts: 10 });
    expect(value).toBe(7);
    // Wilson by hand: z² = 2.7055; centre (0.7 + 0.13528)/1.27055, half-width 1.6449/1.27055·√(0.021 + 0.006764).
    expect(rate.low).toBeCloseTo(0.65741 - 0.21571, 3);
    expect(rate.high).toBeCloseTo(0.65741 + 0.21571, 3);
  });

  it('kicks give away four for each miss or foul and what the leave is worth', () => {
    const settings = {
      attempts: 3,
      penalty: 4,
      leaveCosts: { 'nothing on': 0, 'half a chance': 3, 'wide open': 9 },
    };
    const kick = { hit: true, legal: true, repeats: 0, leave: 'nothing on' as const };
    const tally = countKicks(
      [kick, { ...kick, repeats: 2, leave: 'half a chance' }, { ...kick, hit: false, leave: 'wide open' }],
      settings,
    );
    expect(tally).toMatchObject({ value: 2 * 4 + 3 + (4 + 9), better: 'low', complete: true });
    expect(tally.hits.share).toBeCloseTo(2 / 3, 12);
    expect(tally.legal.share).toBeCloseTo(2 / 3, 12);
  });

  it('of kicks no miss and no foul is free: missing every time is the worst round, not a perfect one', () => {
    const leaveCosts = { 'nothing on': 0, 'half a chance': 4, 'wide open': 12 };
    const hit = { hit: true, legal: true, repeats: 0, leave: 'nothing on' as const };
    const value = (penalty: number, kick: typeof hit) =>
      countKicks([kick, kick], { attempts: 2, penalty, leaveCosts }).value;
    const missed = { ...hit, hit: false, legal: false };
    const foul = { ...hit, legal: false };
    expect([hit, foul, missed].map((kick) => value(4, kick))).toEqual([0, 8, 8]);
    // Without a penalty the opponent has ball in hand, which is worth the best leave.
    expect([hit, foul, missed].map((kick) => value(0, kick))).toEqual([0, 24, 24]);
    expect(value(4, { ...missed, repeats: 3 })).toBe(2 * 4 * 4);
  });

  it('breaks are weighed: 2·balls + control + 2·layout, half after an in-off; dry is fewer than one ball', () => {
    const settings = {
      attempts: 2,
      weights: { balls: 2, control: 1, layout: 2 },
      mostBalls: 4,
      dryBelow: 1,
      afterInOff: 0.5,
    };
    const tally = countBreakScore(
      [
        { balls: 3, control: 2, layout: 1, inOff: false },
        { balls: 0, control: 3, layout: 2, inOff: true },
      ],
      settings,
    );
    // 6 + 2 + 2, and half of 0 + 3 + 4.
    expect(tally).toMatchObject({ value: 13.5, dry: 1, inOffs: 1, complete: true });
    expect(tally.maximum).toBe(2 * (8 + 3 + 6));
  });

  it('calls are right when they agree with what was computed; too close must be called so', () => {
    const tally = countCalls(
      [
        { called: 'in-off', computed: 'in-off', played: 'in-off' },
        { called: 'clear', computed: 'in-off', played: 'clear' },
        { called: 'clear', computed: TOO_CLOSE, played: null },
        { called: TOO_CLOSE, computed: TOO_CLOSE, played: null },
      ],
      { positions: 4 },
    );
    expect(tally).toMatchObject({ value: 2, maximum: 4, cameTrue: 2, played: 2, complete: true });
  });

  it('a streak is the longest run, and the one that is on', () => {
    expect(countStreak(made('WWLWWWLW'), { attempts: 10 })).toMatchObject({
      value: 3,
      current: 1,
      complete: false,
    });
    expect(countStreak(made('WWWWWW'), { attempts: 4 })).toMatchObject({
      value: 4,
      current: 4,
      complete: true,
    });
  });

  it('shots with side and rescues are counted beside', () => {
    expect(
      countSide([
        { shots: 6, withSide: 2, rescues: 1 },
        { shots: 3, withSide: 0, rescues: 1 },
      ]),
    ).toEqual({ shots: 9, withSide: 2, rescues: 2 });
  });
});

describe('every method', () => {
  const bools = fc.array(fc.boolean(), { maxLength: 14 });
  const METHODS: Readonly<Record<string, (played: readonly boolean[]) => RoundResult>> = {
    'attempts to clear': (played) =>
      countAttemptsToClear(
        played.map((cleared) => ({ cleared })),
        { giveUpAfter: 6 },
      ),
    'balls made': (played) =>
      countBallsMade(
        played.map((ok) => ({ balls: ok ? 5 : 2 })),
        { trials: 6, balls: 5 },
      ),
    lives: (played) =>
      countLives(
        played.map((ok, i) => ({ target: 'abc'.charAt(i % 3), made: ok })),
        { lives: 4, targets: ['a', 'b', 'c'] },
      ),
    'zone points': (played) =>
      countZoneRound(
        played.map((ok) => ({ points: ok ? 3 : 1 })),
        { shots: 6, perShot: 3 },
      ),
    'success rate': (played) =>
      countSuccessRate(
        played.map((ok) => ({ made: ok })),
        { attempts: 6 },
      ),
    streak: (played) =>
      countStreak(
        played.map((ok) => ({ made: ok })),
        { attempts: 6 },
      ),
  };

  it.each(Object.entries(METHODS))('%s: once complete, nothing that comes after counts', (_name, count) => {
    fc.assert(
      fc.property(bools, bools, (played, more) => {
        const result = count(played);
        fc.pre(result.complete);
        expect(count([...played, ...more])).toEqual(result);
      }),
      { seed: 12 },
    );
  });

  it.each(Object.entries(METHODS))('%s: a whole round is never better than its best', (_name, count) => {
    fc.assert(
      fc.property(bools, (played) => {
        const { value, maximum, better, complete, censored } = count(played);
        if (maximum === null || !complete || censored) return;
        if (better === 'high') expect(value).toBeLessThanOrEqual(maximum);
        else expect(value).toBeGreaterThanOrEqual(maximum);
      }),
      { seed: 13 },
    );
  });
});

describe('Wilson’s interval', () => {
  it('holds the known figures and never leaves 0 to 1', () => {
    // 95 % for 0 of 10 and 10 of 10: 27.75 % and 72.25 %.
    expect(wilson(0, 10, 1.959964).high).toBeCloseTo(0.2775, 3);
    expect(wilson(10, 10, 1.959964).low).toBeCloseTo(0.7225, 3);
    expect(wilson(0, 0)).toMatchObject({ low: 0, high: 1 });
    expect(() => wilson(3, 2)).toThrow(RangeError);
  });
});
