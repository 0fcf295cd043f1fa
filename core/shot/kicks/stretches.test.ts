import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians } from '../../math/angle.ts';
import { simulate } from '../../motion/simulate.ts';
import { ball, cueBall, POOL, SMALL, SNOOKER } from '../../testing/balls.ts';
import { thrownTable } from '../../testing/thrownTable.ts';
import { buildTable } from '../../table/table.ts';
import { hitOf } from './hit.ts';
import { stretchesOf, type Stretch } from './stretches.ts';
import { kickShot, type KickPosition, type KickStroke, type Way } from './way.ts';

const plain = (speed: number, side = 0): KickStroke => ({ speed, tip: { side, height: 0 }, elevation: 0 });
const meets =
  (target: string) =>
  ({ first }: Way) =>
    first === target;

const MOST = 3;
/** The whole shot is played every so many degrees. */
const SWEEP_DEG = 0.02;

/** The stretches that a plain sweep of whole shots sees: runs of the same cushions before the target. */
function swept(position: KickPosition, stroke: KickStroke, target: string) {
  const count = Math.round(360 / SWEEP_DEG);
  const runs: { key: string; low: number; high: number }[] = [];
  let now: { key: string; low: number; high: number } | undefined;
  for (let i = 0; i < count; i++) {
    const degrees = -180 + i * SWEEP_DEG;
    const hit = hitOf(
      simulate(kickShot(position, stroke, toRadians(degrees)), { paths: true }),
      position.cue,
    );
    const key = hit.first === target && hit.before.length <= MOST ? hit.before.join(' ') : undefined;
    if (key !== now?.key) {
      if (now !== undefined) runs.push(now);
      now = key === undefined ? undefined : { key, low: degrees, high: degrees };
    } else if (now !== undefined) now.high = degrees;
  }
  if (now !== undefined) runs.push(now);
  return runs;
}

const CASES = [
  { name: 'pool', table: POOL, n: 5, seed: 11, stroke: plain(2.2) },
  { name: 'pool with side', table: POOL, n: 7, seed: 12, stroke: plain(3.4, 0.4) },
  { name: 'snooker', table: SNOOKER, n: 8, seed: 13, stroke: plain(2.6) },
  { name: 'the small table', table: SMALL, n: 6, seed: 14, stroke: plain(1.7, -0.3) },
] as const;

describe('the stretches of a stroke', () => {
  it.each(CASES)(
    '$name: are those that a sweep of whole shots finds, with its borders',
    ({ table, n, seed, stroke }) => {
      const { cue, balls } = thrownTable(n, seed, table);
      const position = { table, balls: [cue, ...balls], cue: cue.id };
      const found = stretchesOf(position, stroke, MOST, meets('1')).map(({ low, high, way }) => ({
        key: way.cushions.join(' '),
        low: toDegrees(low),
        high: toDegrees(high),
      }));
      // The sweep begins at −180 degrees and cuts what goes on there.
      const isInside = ({ low, high }: { low: number; high: number }) => low > -179.9 && high < 179.9;
      const runs = swept(position, stroke, '1').filter(isInside);
      const like = (one: { key: string; low: number; high: number }, others: typeof runs, off: number) =>
        others.some(
          ({ key, low, high }) =>
            key === one.key && Math.abs(low - one.low) <= off && Math.abs(high - one.high) <= off,
        );
      const off = SWEEP_DEG + 0.01;
      expect(runs.length).toBeGreaterThan(3);
      for (const run of runs)
        if (run.high - run.low >= 0.1) expect(like(run, found, off), JSON.stringify(run)).toBe(true);
      for (const line of found.filter(isInside))
        if (line.high - line.low >= 0.1) expect(like(line, runs, off), JSON.stringify(line)).toBe(true);
    },
  );

  it('by one cushion is the mirror’s line where nothing slows or turns the ball', () => {
    const table = buildTable('pool-9ft', {
      slidingFriction: 1e-9,
      rollingFriction: 1e-9,
      spinDeceleration: 1e-9,
      cushionRestitution: 1,
      cushionRestitutionFall: 0,
      cushionFriction: 0,
      bedRestitution: 0,
    });
    const cue = cueBall(0.4, 0.3, table);
    const object = ball('1', 1.3, 0.45, table);
    const position = { table, balls: [cue, object], cue: cue.id };
    // Centres turn at a line one ball before the nose: there the target is mirrored.
    const line = { x: object.x, y: 2 * (table.width - cueReach(table)) - object.y };
    const far = Math.hypot(line.x - cue.x, line.y - cue.y);
    const middle = toDegrees(Math.atan2(line.y - cue.y, line.x - cue.x));
    const half = toDegrees(Math.asin((cue.radius + object.radius) / far));
    const left = stretchesOf(position, plain(3), 1, meets('1')).find(
      ({ low, high, way }) =>
        way.cushions.join() === 'left' && low < toRadians(middle) && toRadians(middle) < high,
    );
    expect(Math.abs(toDegrees(left?.low ?? NaN) - (middle - half))).toBeLessThan(0.01);
    expect(Math.abs(toDegrees(left?.high ?? NaN) - (middle + half))).toBeLessThan(0.01);
  });

  it('of a mirrored table are mirrored', () => {
    const { cue, balls } = thrownTable(4, 21);
    const turned = (all: KickPosition['balls']) => all.map((each) => ({ ...each, y: POOL.width - each.y }));
    const here = { table: POOL, balls: [cue, ...balls], cue: cue.id };
    const there = { ...here, balls: turned(here.balls) };
    const one = stretchesOf(here, plain(2.4, 0.3), 2, meets('1'));
    const other = stretchesOf(there, plain(2.4, -0.3), 2, meets('1'));
    const swap: Readonly<Record<string, string>> = { left: 'right', right: 'left' };
    const told = ({ low, high, way }: Stretch, sign: 1 | -1) => {
      const [a, b] = [toDegrees(low), toDegrees(high)].map((degrees) => Math.round(100 * sign * degrees));
      const cushions = way.cushions.map((side) => (sign === 1 ? side : (swap[side] ?? side)));
      return { cushions, ends: [a ?? 0, b ?? 0].sort((x, y) => x - y) };
    };
    const sorted = (all: readonly ReturnType<typeof told>[]) =>
      [...all].sort((a, b) => (a.ends[0] ?? 0) - (b.ends[0] ?? 0));
    const mirrored = sorted(other.map((stretch) => told(stretch, -1)));
    for (const [i, { cushions, ends }] of sorted(one.map((stretch) => told(stretch, 1))).entries()) {
      expect(mirrored[i]?.cushions).toEqual(cushions);
      for (const [k, end] of ends.entries())
        expect(Math.abs((mirrored[i]?.ends[k] ?? NaN) - end)).toBeLessThanOrEqual(1);
    }
    expect(mirrored).toHaveLength(one.length);
  });

  it('goes on past the direction at which the count begins', () => {
    const position = { table: POOL, balls: [cueBall(1.2, 0.6), ball('1', 0.6, 0.6)], cue: 'cue' };
    const direct = stretchesOf(position, plain(2), 0, meets('1'));
    expect(direct).toHaveLength(1);
    const half = toDegrees(Math.asin((2 * POOL.preset.ballRadius) / 0.6));
    expect(toDegrees(direct[0]?.low ?? NaN)).toBeCloseTo(180 - half, 1);
    expect(toDegrees(direct[0]?.high ?? NaN)).toBeCloseTo(180 + half, 1);
  });
});

/** How far before a nose a ball's centre turns. */
function cueReach(table: typeof POOL): number {
  const way = simulate(
    kickShot({ table, balls: [cueBall(1, 0.6, table)], cue: 'cue' }, plain(3), Math.PI / 2),
    {
      paths: true,
    },
  );
  const pieces = way.paths?.[0]?.pieces ?? [];
  return table.width - Math.max(...pieces.map(({ y }) => y));
}
