import { isPositionDrill } from '../drill/positionDrill.ts';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { planShot } from '../drill/plannedShot.ts';
import { simulate } from '../motion/simulate.ts';
import type { Benchmark } from '../records/benchmark.ts';
import { benchmarkSchema } from '../records/benchmark.ts';
import { drillSchema } from '../records/drill.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { expectation, medianOf, midRankPercentile, sumOfDraws } from '../statistics/distribution.ts';
import { median } from '../statistics/summary.ts';
import { buildTable } from '../table/table.ts';
import { benchmarkDrill, placeRound, scoreBands } from './benchmark.ts';
import { landingBias } from './bias.ts';
import { reviewLanding } from './landing.ts';
import { zonePoints } from './zonePoints.ts';
import { pointsForChance } from '../counting/bands.ts';

const drill = drillSchema.validateSync(JSON.parse(readFileSync('library/harbour-turn.drill.json', 'utf8')));
if (!isPositionDrill(drill)) throw new Error('harbour-turn is a position drill');
const plan = planShot(drill, buildTable(drill.table));
const stage = drill.stages[1]!;

describe('zone points', () => {
  it('are those of the highest band that is reached', () => {
    // Narrow window: 1 from 70 %, 2 from 85 %, 3 from 93 %.
    const points = [0.2, 0.69, 0.7, 0.849, 0.85, 0.92, 0.93, 1].map((chance) =>
      pointsForChance(chance, stage.bands),
    );
    expect(points).toEqual([0, 0, 1, 1, 2, 2, 3, 3]);
  });

  it('are none for a miss, a lost cue ball, or a landing that is not known', () => {
    expect(zonePoints('potted', plan.landing, plan.window, stage.bands)).toBe(3);
    expect(zonePoints('missed', plan.landing, plan.window, stage.bands)).toBe(0);
    expect(zonePoints('in-off', plan.landing, plan.window, stage.bands)).toBe(0);
    expect(zonePoints('potted', null, plan.window, stage.bands)).toBe(0);
  });
});

describe('a landing', () => {
  it.each([0.85, 0.92, 1.08, 1.2])(
    'of the stroke played at %s of its pace is told by that pace',
    (factor) => {
      const { strike } = plan.shot;
      const { rest } = simulate({ ...plan.shot, strike: { ...strike, speed: factor * strike.speed } });
      const review = reviewLanding(plan, { x: rest[0]!.x, y: rest[0]!.y });
      if (review.pace.kind !== 'off') throw new Error(review.pace.kind);
      expect(review.pace.percent).toBeCloseTo(100 * (factor - 1), 0);
      expect(Math.sign(review.along)).toBe(Math.sign(factor - 1));
    },
  );

  it('far off the line is not blamed on the pace', () => {
    const { x, y } = plan.arrival;
    const aside = { x: plan.landing.x - 0.35 * y, y: plan.landing.y + 0.35 * x };
    const review = reviewLanding(plan, aside);
    expect(review.pace).toEqual({ kind: 'cannot tell' });
    expect(review.across).toBeCloseTo(0.35, 9);
    expect(review.along).toBeCloseTo(0, 9);
  });

  it('leaves the right side, straight, or the wrong side of the next ball', () => {
    const { ball, mouth } = plan.next;
    const back = Math.atan2(ball.y - mouth.y, ball.x - mouth.x);
    const wanted = reviewLanding(plan, plan.landing).angle.degrees;
    const at = (turn: number) => ({
      x: ball.x + 0.5 * Math.cos(back + turn),
      y: ball.y + 0.5 * Math.sin(back + turn),
    });
    expect(reviewLanding(plan, at(0)).angle.verdict).toBe('straight');
    for (const turn of [0.3, -0.3]) {
      const { degrees, verdict } = reviewLanding(plan, at(turn)).angle;
      expect(verdict).toBe(degrees * wanted > 0 ? 'right side' : 'wrong side');
    }
    const verdicts = [0.3, -0.3].map((turn) => reviewLanding(plan, at(turn)).angle.verdict).sort();
    expect(verdicts).toEqual(['right side', 'wrong side']);
  });

  it('errors average to a bias: (10, 2), (6, −4) and (8, −1) cm are 8 long and 1 right', () => {
    const bias = landingBias([
      { along: 0.1, across: 0.02 },
      { along: 0.06, across: -0.04 },
      { along: 0.08, across: -0.01 },
    ]);
    expect(bias.along).toBeCloseTo(0.08, 12);
    expect(bias.across).toBeCloseTo(-0.01, 12);
    expect(bias.medianDistance).toBeCloseTo(Math.hypot(0.08, 0.01), 12);
  });
});

describe('distributions', () => {
  it('of two dice and of four coins are the known ones', () => {
    const die = [0, 1, 1, 1, 1, 1, 1].map((n) => n / 6);
    const two = sumOfDraws(die, 2);
    expect(two[7]).toBeCloseTo(6 / 36, 12);
    expect(expectation(two)).toBeCloseTo(7, 12);
    expect(medianOf(two)).toBe(7);
    // 15 of 36 throws are below 7, six are 7: mid-rank (15 + 3) / 36.
    expect(midRankPercentile(two, 7)).toBeCloseTo(50, 10);
    expect(sumOfDraws([0.5, 0.5], 4)).toEqual([1, 4, 6, 4, 1].map((n) => n / 16));
    expect(median([4, 1, 3])).toBe(3);
    expect(median([4, 1, 3, 2])).toBe(2.5);
  });
});

describe('a benchmark', () => {
  const benchmark = benchmarkDrill(drill, stage, plan, 4);

  it('rises with the level and is a valid record', () => {
    expect(benchmarkSchema.isValidSync(benchmark)).toBe(true);
    const expected = benchmark.levels.map((level) => expectation(level.round));
    expect([...expected].sort((a, b) => a - b)).toEqual(expected);
    expect(benchmark.levels[0]!.round).toHaveLength(31);
  });

  it('from other seeds differs by no more than its sampling error', () => {
    const again = benchmarkDrill(drill, stage, plan, 1004);
    benchmark.levels.forEach((level, i) => {
      // A round is ten shots of 0 to 3 points; the mean of a shot over 2000 has an error of 1.5/√2000 at most.
      const difference = Math.abs(expectation(level.round) - expectation(again.levels[i]!.round));
      expect(difference).toBeLessThan(10 * 4 * Math.SQRT2 * (1.5 / Math.sqrt(2000)));
    });
  });

  /** Levels whose rounds always score 4, 8, 12, 16 and 20. */
  const clear: Benchmark = {
    executions: 1,
    wholeRounds: false,
    unit: 'points',
    better: 'high',
    levels: LEVEL_NAMES.map((level, i) => ({
      level,
      potted: 1,
      round: Array.from({ length: 31 }, (_, score) => (score === 4 * (i + 1) ? 1 : 0)),
    })),
  };

  it('places a round between the levels whose medians it lies between', () => {
    expect(placeRound(3, clear)).toEqual({
      reached: undefined,
      next: 'first season',
      of: 'first season',
      percentile: 0,
    });
    expect(placeRound(12, clear)).toEqual({ reached: 'team', next: 'match', of: 'team', percentile: 50 });
    expect(placeRound(15, clear)).toEqual({ reached: 'team', next: 'match', of: 'team', percentile: 100 });
    expect(placeRound(30, clear)).toEqual({
      reached: 'title',
      next: undefined,
      of: 'title',
      percentile: 100,
    });
  });

  it('bands the scores halfway between the levels’ expected ones, without gaps', () => {
    expect(scoreBands(clear, 30)).toEqual([
      { level: 'first season', from: 0, to: 6 },
      { level: 'regular', from: 6, to: 10 },
      { level: 'team', from: 10, to: 14 },
      { level: 'match', from: 14, to: 18 },
      { level: 'title', from: 18, to: 30 },
    ]);
  });
});
