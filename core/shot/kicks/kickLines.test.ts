import { describe, expect, it } from 'vitest';
import { toRadians } from '../../math/angle.ts';
import { simulate } from '../../motion/simulate.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { executed } from '../../player/execute.ts';
import { createRandom } from '../../random/random.ts';
import { ball, cueBall, POOL, SNOOKER } from '../../testing/balls.ts';
import { thrownTable } from '../../testing/thrownTable.ts';
import { middleOf } from '../directions.ts';
import { aimPointOf } from './aimPoint.ts';
import { hitOf } from './hit.ts';
import { cuedKick } from './kickChance.ts';
import { kickFamilies, rated } from './kickFamilies.ts';
import { kickLines } from './kickLines.ts';
import { seenOf } from './seen.ts';
import { kickShot, type KickStroke } from './way.ts';

const STROKE: KickStroke = { speed: 2.4, tip: { side: 0, height: 0 }, elevation: 0 };
const R = POOL.preset.ballRadius;

describe('a line to a ball', () => {
  const { cue, balls } = thrownTable(5, 31);
  const position = { table: POOL, balls: [cue, ...balls], cue: cue.id };
  const lines = kickLines(position, STROKE, { targets: ['2'], mostCushions: 2 });

  it('covers nothing of the ball at an end where it just misses, and more in between', () => {
    let grazed = 0;
    for (const { cushions, below, above, covered } of lines) {
      for (const share of covered) expect(share >= 0 && share <= 1).toBe(true);
      for (const [outside, share] of [
        [below, covered[0]],
        [above, covered[2]],
      ] as const) {
        // Beside the line the cue ball goes the same way and on, past the ball.
        const goesOn =
          outside.cushions.length > cushions.length && outside.cushions.join().startsWith(cushions.join());
        if (!goesOn) continue;
        grazed++;
        // A border is known to 0.002 degrees, which cushions on a long way spread.
        expect(share).toBeLessThan(0.08);
        expect(covered[1]).toBeGreaterThan(share);
      }
    }
    expect(grazed).toBeGreaterThan(2);
  });

  it('says of its middle what playing it says', () => {
    for (const line of lines) {
      const result = simulate(kickShot(position, STROKE, middleOf(line)), { paths: true });
      const hit = hitOf(result, 'cue');
      expect([hit.first, hit.before]).toEqual(['2', line.cushions]);
      expect(line.middle.rest).toEqual(result.rest);
      expect(line.middle.inOff).toBe(result.rest.find(({ id }) => id === 'cue')?.pocket !== null);
      expect(line.middle.pot).toBe(result.rest.find(({ id }) => id === '2')?.pocket);
    }
  });

  it('to one side of the ball meets that side all over, and both sides make up the whole', () => {
    const wish = { targets: ['2'], mostCushions: 1 };
    const width = (side?: 'left' | 'right') =>
      kickLines(position, STROKE, { ...wish, side }).reduce((sum, { low, high }) => sum + high - low, 0);
    expect(width('left') + width('right')).toBeCloseTo(width(), 3);
    for (const line of kickLines(position, STROKE, { ...wish, side: 'left' })) {
      for (const share of [0.1, 0.5, 0.9]) {
        const direction = line.low + share * (line.high - line.low);
        expect(hitOf(simulate(kickShot(position, STROKE, direction), { paths: true }), 'cue').side).toBe(
          'left',
        );
      }
    }
  });

  it('to a pocket pots the ball all over', () => {
    // The ball lies before the corner, the cue ball by the other end: straight, and by the cushions.
    const near = { table: POOL, balls: [cueBall(1.3, 0.5), ball('1', 2.42, 1.15)], cue: 'cue' };
    const pots = kickLines(near, STROKE, { targets: ['1'], pocket: 'foot-left', mostCushions: 2 });
    expect(pots.length).toBeGreaterThan(1);
    expect(pots.some(({ cushions }) => cushions.length > 0)).toBe(true);
    for (const line of pots) {
      for (const share of [0.05, 0.5, 0.95]) {
        const direction = line.low + share * (line.high - line.low);
        const { rest } = simulate(kickShot(near, STROKE, direction));
        expect(rest.find(({ id }) => id === '1')?.pocket).toBe('foot-left');
      }
    }
  });

  it('to a pack is as wide as to its balls together', () => {
    const wish = { mostCushions: 1 };
    const widthOf = (targets: readonly string[]) =>
      kickLines(position, STROKE, { ...wish, targets }).reduce((sum, { low, high }) => sum + high - low, 0);
    expect(widthOf(['1', '2', '3'])).toBeCloseTo(widthOf(['1']) + widthOf(['2']) + widthOf(['3']), 9);
  });
});

describe('where the cue points', () => {
  it('is where a straight line meets the nose', () => {
    const position = { table: POOL, balls: [cueBall(0.8, 0.4)], cue: 'cue' };
    const up = aimPointOf(position, Math.PI / 2);
    expect([up.cushion, up.along, up.at.y]).toEqual(['left', expect.closeTo(0.8, 9), POOL.width]);
    const away = aimPointOf(position, Math.PI);
    expect([away.cushion, away.along, away.share]).toEqual([
      'head',
      expect.closeTo(0.4, 9),
      expect.closeTo(0.4 / POOL.width, 9),
    ]);
    const slant = aimPointOf(position, -Math.PI / 4);
    expect([slant.cushion, slant.at.x]).toEqual(['right', expect.closeTo(1.2, 9)]);
  });
});

describe('how well a ball is seen', () => {
  const cue = cueBall(0.5, 0.6);
  const target = ball('1', 1.5, 0.6);
  const seen = (...others: readonly ReturnType<typeof ball>[]) =>
    seenOf({ table: POOL, balls: [cue, target, ...others], cue: 'cue' }, '1');

  it('is wholly where nothing is in the way, and not at all behind a ball of its size', () => {
    expect(seen()).toEqual({ seen: 1, usable: 1 });
    expect(seen(ball('2', 1, 0.6))).toEqual({ seen: 0, usable: 0 });
    expect(seen(ball('2', 2, 0.6))).toEqual({ seen: 1, usable: 1 });
  });

  it('is half where a ball covers half, and less of it can be hit than seen', () => {
    // A ball whose edge stands on the line of the middles hides one half of the width.
    const half = seen(ball('2', 1.4, 0.6 + R));
    expect(half.seen).toBeCloseTo(0.5, 2);
    // To pass it 0.9 m away takes a whole R on the other side of that line, of the 1.8 R that lead to the target.
    expect(half.usable).toBeCloseTo(0.8 / 3.6, 1);
    expect(half.usable).toBeLessThan(half.seen);
  });
});

describe('the lines over paces and sides', () => {
  const hidden = {
    table: POOL,
    balls: [cueBall(0.6, 0.5), ball('1', 1.8, 0.7), ball('2', 0.75, 0.53), ball('3', 0.73, 0.47)],
    cue: 'cue',
  };
  const wish = { targets: ['1'], mostCushions: 2 };

  it('are told the best first, each with a stroke that gets there by its cushions', () => {
    const families = kickFamilies(hidden, wish, executionErrorOf('match', 'pool'));
    const chances = families.map(({ best }) => best.chance.legal);
    expect(chances).toEqual([...chances].sort((a, b) => b - a));
    expect(chances[0]).toBeGreaterThan(0.5);
    for (const { best } of families) expect(best.chance.met).toBeGreaterThanOrEqual(best.chance.legal);
    expect(new Set(families.map(({ cushions }) => cushions.join(' '))).size).toBe(families.length);
    for (const { best, lines } of families) {
      const hit = hitOf(simulate(kickShot(hidden, best.stroke, middleOf(best)), { paths: true }), 'cue');
      expect([hit.first, hit.before]).toEqual(['1', best.cushions]);
      expect(lines.length).toBeGreaterThan(0);
    }
  });

  it('claim what fresh play shows, in the mean', () => {
    let [claimed, met, all] = [0, 0, 0];
    const random = createRandom(77);
    for (const [table, seed] of [POOL, SNOOKER].flatMap((each) =>
      [41, 42, 43].map((s) => [each, s] as const),
    )) {
      const { cue, balls } = thrownTable(5, seed, table);
      const position = { table, balls: [cue, ...balls], cue: 'cue' };
      const error = executionErrorOf('team', table.preset.game);
      const lines = kickLines(position, STROKE, { targets: ['1'], mostCushions: 2 }).slice(0, 5);
      for (const line of lines) {
        claimed += rated(position, line, { targets: ['1'], mostCushions: 2 }, error).chance.met;
        all++;
        const cued = cuedKick(position, STROKE, middleOf(line), error);
        for (let k = 0; cued !== undefined && k < 200; k++) {
          const hit = hitOf(simulate(executed(cued.shot, cued.error, random), { paths: true }), 'cue');
          if (hit.first === '1') met += 1 / 200;
        }
      }
    }
    expect(all).toBeGreaterThan(20);
    expect(Math.abs(claimed / all - met / all)).toBeLessThan(0.025);
  });

  it('keep to what a drill asks: these cushions, at least one, no side', () => {
    const error = executionErrorOf('team', 'pool');
    const ways = (more: object) =>
      kickFamilies(hidden, { ...wish, ...more }, error).map(({ cushions, lines }) => ({ cushions, lines }));
    const exact = ways({ cushions: ['left'], noSide: true });
    expect(exact.map(({ cushions }) => cushions)).toEqual([['left']]);
    for (const { lines } of exact) for (const { stroke } of lines) expect(stroke.tip.side).toBe(0);
    const open = { ...hidden, balls: hidden.balls.slice(0, 2) };
    const first = kickFamilies(open, { ...wish, mostCushions: 1, fewestCushions: 1, noSide: true }, error);
    expect(first.length).toBeGreaterThan(1);
    for (const { cushions } of first) expect(cushions).toHaveLength(1);
  });

  it('bend round a ball with a raised butt and side', () => {
    const masse: KickStroke = { speed: 2.4, tip: { side: 0.42, height: 0 }, elevation: toRadians(55) };
    const blocked = { ...hidden, balls: [cueBall(0.6, 0.5), ball('1', 1.3, 0.5), ball('2', 0.95, 0.5)] };
    expect(seenOf(blocked, '1').usable).toBeLessThan(0.6);
    const straight = kickLines(blocked, STROKE, { targets: ['1'], mostCushions: 0 });
    const bent = kickLines(blocked, masse, { targets: ['1'], mostCushions: 0 });
    const full = (lines: typeof bent) => Math.max(0, ...lines.flatMap(({ covered }) => covered));
    expect(full(bent)).toBeGreaterThan(full(straight));
  });
});
