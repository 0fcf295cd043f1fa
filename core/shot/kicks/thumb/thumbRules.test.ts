import { describe, expect, it } from 'vitest';
import { simulate } from '../../../motion/simulate.ts';
import type { Point } from '../../../math/point.ts';
import { createRandom } from '../../../random/random.ts';
import { buildTable, type Table } from '../../../table/table.ts';
import { ball, cueBall, POOL, SNOOKER } from '../../../testing/balls.ts';
import { hitOf } from '../hit.ts';
import { kickShot } from '../way.ts';
import { passingOf } from './passing.ts';
import { cushionsOf, roundStroke, ROUNDS, threeCushionFigures, turned } from './threeCushions.ts';
import { cellAt, thumbMap } from './thumbMap.ts';
import { thumbFigures } from './thumbFigures.ts';
import {
  rightedThumb,
  THUMB_PACES,
  thumbCushions,
  tryThumb,
  type ThumbFigures,
  type ThumbQuestion,
} from './thumbRules.ts';

const FIGURES = new Map([POOL, SNOOKER].map((table) => [table, thumbFigures(table)]));
const knownOf = (table: Table): ThumbFigures => {
  const figures = FIGURES.get(table);
  if (figures === undefined) throw new Error('no figures of this table');
  return figures;
};

/** Nothing slows or turns a ball here, and cushions give back what they get, as it came. */
const IDEAL = buildTable('pool-9ft', {
  slidingFriction: 1e-9,
  rollingFriction: 1e-9,
  spinDeceleration: 1e-9,
  cushionRestitution: 1,
  cushionRestitutionFall: 0,
  cushionFriction: 0,
  bedRestitution: 0,
  endMass: 0,
});

const questions: readonly ThumbQuestion[] = [
  { rule: 'equal angles', cushions: ['left'] },
  { rule: 'equal angles', cushions: ['foot'] },
  { rule: 'equal angles', cushions: ['right', 'foot'] },
  ...ROUNDS.flatMap((round): readonly ThumbQuestion[] => [
    { rule: 'far mark', round },
    { rule: 'thirds', round },
  ]),
];

/** Thrown places of a cue ball and a target. */
function* thrown(table: Table, count: number, seed: number) {
  const random = createRandom(seed);
  const place = () => ({
    x: table.length * (0.06 + 0.88 * random.uniform()),
    y: table.width * (0.1 + 0.8 * random.uniform()),
  });
  for (let k = 0; k < count; k++) {
    const { x, y } = place();
    yield { from: cueBall(x, y, table), target: place() };
  }
}

describe('rules of thumb where nothing slows or turns a ball', () => {
  it('lead there by equal angles, by one cushion and by two', () => {
    let [tried, near] = [0, 0];
    for (const { from, target } of thrown(IDEAL, 60, 5)) {
      for (const question of questions.filter(({ rule }) => rule === 'equal angles')) {
        const trial = tryThumb(IDEAL, question, { soft: undefined, firm: undefined }, 'firm', from, target);
        // Balls turn a little later than a radius before the nose, for it is higher than their middle.
        if (trial?.passing === undefined) continue;
        tried++;
        if (Math.abs(trial.passing.miss) < 0.006) near++;
      }
    }
    expect(tried).toBeGreaterThan(80);
    // Some of those by two cushions come to the jaws of a pocket between them.
    expect(near / tried).toBeGreaterThan(0.9);
  });

  it('find the mark where the corner is mirrored by three cushions, a metre for a metre', () => {
    const figures = threeCushionFigures(IDEAL, 4);
    const { length, width } = IDEAL;
    expect(figures?.mark.x).toBeCloseTo(2 * length, 0);
    expect(figures?.mark.y).toBeCloseTo(3 * width, 0);
    expect(figures?.shift).toBeCloseTo(1, 1);
    // Two thirds of the start and one of the table there and back.
    expect(figures?.constant).toBeCloseTo((2 * length) / 3, 1);
  });
});

describe('a rule of thumb tried on a table', () => {
  it('meets a ball there just when it says so', () => {
    let met = 0;
    let missed = 0;
    for (const table of [POOL, SNOOKER]) {
      for (const { from, target } of thrown(table, 40, 11)) {
        const object = ball('1', target.x, target.y, table);
        for (const question of questions) {
          const trial = tryThumb(table, question, knownOf(table), 'firm', from, target);
          // Whether it was grazed is not asked to a hair.
          if (trial?.passing === undefined) continue;
          const gap = Math.abs(trial.passing.miss) - 2 * table.preset.ballRadius;
          if (Math.abs(gap) < 0.002) continue;
          const position = { table, balls: [from, object], cue: from.id };
          const hit = hitOf(
            simulate(kickShot(position, trial.stroke, trial.direction), { paths: true }),
            from.id,
          );
          expect(trial.hits).toBe(hit.first === '1' && hit.before.join() === thumbCushions(question).join());
          if (trial.hits) met++;
          else missed++;
        }
      }
    }
    expect(met).toBeGreaterThan(50);
    expect(missed).toBeGreaterThan(50);
  });

  it('is put right to a full hit', () => {
    let righted = 0;
    for (const { from, target } of thrown(POOL, 25, 23)) {
      for (const question of questions) {
        const trial = tryThumb(POOL, question, knownOf(POOL), 'firm', from, target);
        const direction = trial && rightedThumb(POOL, trial, from, target);
        if (trial === undefined || direction === undefined) continue;
        const cushions = thumbCushions(question);
        const passing = passingOf(POOL, from, trial.stroke, direction, cushions, target);
        expect(Math.abs(passing?.miss ?? NaN)).toBeLessThan(0.004);
        righted++;
      }
    }
    expect(righted).toBeGreaterThan(80);
  });

  it('is the same in the mirror, round the table in all four ways', () => {
    let seen = 0;
    for (const { from, target } of thrown(POOL, 20, 31)) {
      for (const rule of ['far mark', 'thirds'] as const) {
        const misses = ROUNDS.map((round) => {
          const [cue, place] = [turned(POOL, round, from), turned(POOL, round, target)];
          return tryThumb(POOL, { rule, round }, knownOf(POOL), 'firm', cue, place)?.passing?.miss;
        });
        for (const miss of misses) {
          if (misses[0] === undefined) expect(miss).toBeUndefined();
          else expect(miss).toBeCloseTo(misses[0], 5);
        }
        if (misses[0] !== undefined) seen++;
      }
    }
    expect(seen).toBeGreaterThan(5);
  });

  it('says long of what comes off too far on, short of the other', () => {
    const [from, place] = [cueBall(0.6, 0.3), { x: 1.5, y: 0.4 }];
    const missOf = (x: number) => {
      const direction = Math.atan2(POOL.width - 0.3, x - 0.6);
      return passingOf(
        POOL,
        from,
        { speed: 3, tip: { side: 0, height: 0 }, elevation: 0 },
        direction,
        ['left'],
        place,
      )?.miss;
    };
    expect(missOf(0.9)).toBeLessThan(0);
    expect(missOf(1.3)).toBeGreaterThan(0);
    // By the foot cushion first it does not come from the left one.
    const away = passingOf(
      POOL,
      from,
      { speed: 3, tip: { side: 0, height: 0 }, elevation: 0 },
      0,
      ['left'],
      place,
    );
    expect(away).toBeUndefined();
    const dying = passingOf(
      POOL,
      from,
      { speed: 0.6, tip: { side: 0, height: 0 }, elevation: 0 },
      1.5,
      ['left'],
      {
        x: 0.7,
        y: 0.05,
      },
    );
    expect(dying).toBeUndefined();
  });
});

describe('the figures of a table', () => {
  it.each([
    ['pool', POOL],
    ['snooker', SNOOKER],
  ])('have the mark at %s that brings the ball to the corner better than others do', (_, table) => {
    const corner: Point = { x: table.preset.ballRadius, y: table.width - table.preset.ballRadius };
    const round = ROUNDS[0]!;
    for (const pace of THUMB_PACES) {
      const figures = knownOf(table)[pace];
      if (figures === undefined) throw new Error('no figures');
      const stroke = roundStroke(round, figures.speed);
      const error = (mark: Point) => {
        let [sum, count] = [0, 0];
        for (let i = 0; i < 6; i++) {
          for (let j = 0; j < 4; j++) {
            const from = cueBall(table.length * (0.08 + 0.08 * i), table.width * (0.12 + 0.14 * j), table);
            const direction = Math.atan2(mark.y - from.y, mark.x - from.x);
            const passing = passingOf(table, from, stroke, direction, cushionsOf(round), corner);
            // Who does not come round at all is as far off as the table is wide.
            sum += passing === undefined ? table.width : Math.min(Math.abs(passing.miss), table.width);
            count++;
          }
        }
        return sum / count;
      };
      const best = error(figures.mark);
      for (const by of [
        { x: 0.25, y: 0 },
        { x: -0.25, y: 0 },
      ]) {
        const beside = { x: figures.mark.x + by.x * table.length, y: figures.mark.y + by.y };
        expect(error(beside)).toBeGreaterThan(best);
      }
      expect(best).toBeLessThan(0.25 * table.width);
    }
  });

  it('are none where the pace does not carry round', () => {
    expect(threeCushionFigures(POOL, 0.8)).toBeUndefined();
  });
});

describe('the map of a rule', () => {
  it('says from each place what trying it there says, and what share of them meets the ball', () => {
    const target = { x: 0.5, y: 0.9 };
    const question: ThumbQuestion = { rule: 'thirds', round: { first: 'left', second: 'foot' } };
    const map = thumbMap(POOL, question, knownOf(POOL), 'firm', target, 20);
    expect(map.misses).toHaveLength(map.columns * map.rows);
    let [met, answered] = [0, 0];
    map.misses.forEach((miss, cell) => {
      const { x, y } = cellAt(POOL, map, cell);
      const trial = tryThumb(POOL, question, knownOf(POOL), 'firm', cueBall(x, y), target);
      if (Math.hypot(x - target.x, y - target.y) >= 2 * POOL.preset.ballRadius) {
        expect(miss).toBe(trial === undefined ? null : trial.passing?.miss);
        if (trial !== undefined) answered++;
        if (trial?.hits === true) met++;
      }
    });
    expect(answered).toBeGreaterThan(30);
    expect(map.trusted).toBeCloseTo(met / answered, 9);
    const nowhere = thumbMap(POOL, question, { soft: undefined, firm: undefined }, 'soft', target, 6);
    expect(nowhere.trusted).toBeUndefined();
  });
});
