import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians, wrapAngle } from '../math/angle.ts';
import { bearing, distance } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import { createRandom } from '../random/random.ts';
import { ball, bedWith, cueBall, POOL, SMALL, SNOOKER } from '../testing/balls.ts';
import { pocketNamed, withoutCushions } from '../table/table.ts';
import { acceptanceOf } from './acceptance.ts';
import { acceptanceNear } from './acceptanceNear.ts';
import { aimToPot, createAimer } from './aim.ts';
import { isClear, narrowestGap } from './corridor.ts';
import { contactPlace } from './cut.ts';
import { directionsWhere } from './directions.ts';
import { naturalPath } from './naturalPath.ts';
import { pocketMargin } from './pocketMargin.ts';

const R = POOL.preset.ballRadius;
const stroke = { ball: 'cue', speed: 2, tip: { side: 0, height: 0 }, elevation: 0 };

describe('a way between balls', () => {
  it('is as narrow as walking along it in small steps finds it', () => {
    const random = createRandom(11);
    for (let run = 0; run < 200; run++) {
      const at = () => ({ x: 2.5 * random.uniform(), y: 1.2 * random.uniform() });
      const [from, to] = [at(), at()];
      const balls = ['1', '2', '3'].map((id) => ball(id, at().x, at().y));
      let walked = Infinity;
      for (let k = 0; k <= 2000; k++) {
        const place = { x: from.x + ((to.x - from.x) * k) / 2000, y: from.y + ((to.y - from.y) * k) / 2000 };
        for (const each of balls) walked = Math.min(walked, distance(place, each) - 2 * R);
      }
      const gap = narrowestGap(from, to, R, balls)!;
      expect(Math.abs(gap.metres - walked)).toBeLessThan(1e-3);
      expect(isClear(from, to, R, balls)).toBe(gap.metres >= 0);
    }
    expect(narrowestGap({ x: 0, y: 0 }, { x: 1, y: 0 }, R, [])).toBeUndefined();
  });
});

describe('the natural path', () => {
  const sizes = (over = {}) => ({
    cueBallRadius: R,
    cueBallMass: 0.17,
    ballRadius: R,
    ballMass: 0.17,
    restitution: 1,
    ...over,
  });
  const half = (degrees: number) => {
    const object = { x: 1, y: 0.6 };
    const target = { x: 2, y: 0.6 };
    const contact = contactPlace(object, target, R, R);
    const from = toRadians(degrees);
    return {
      object,
      target,
      cue: { x: contact.x - 0.6 * Math.cos(from), y: contact.y - 0.6 * Math.sin(from) },
    };
  };

  it('of a stunned ball is the tangent, at right angles to the object ball', () => {
    for (const degrees of [-60, -20, 15, 50]) {
      const { cue, object, target } = half(degrees);
      const path = naturalPath(cue, object, target, sizes());
      expect(Math.abs(toDegrees(wrapAngle(path.stun - 0)))).toBeCloseTo(90, 9);
      expect(path.stun).toBeCloseTo(path.tangent, 12);
      expect(Math.sign(path.tangent)).toBe(Math.sign(degrees));
    }
  });

  it('of a rolling ball bends by 33.7° at a half-ball hit (30° rule)', () => {
    const { cue, object, target } = half(30);
    const path = naturalPath(cue, object, target, sizes());
    // tan θ = sin φ cos φ / (sin²φ + 2/5) for equal balls (Alciatore, TP A.4).
    const bend = Math.atan((Math.sin(Math.PI / 6) * Math.cos(Math.PI / 6)) / (0.25 + 0.4));
    expect(toDegrees(wrapAngle(path.rolling - path.approach))).toBeCloseTo(toDegrees(bend), 9);
    expect(toDegrees(bend)).toBeCloseTo(33.67, 1);
  });

  it.each([
    ['equal balls', POOL],
    ['a light cue ball', SMALL],
  ] as const)('is where the simulator sends it without friction between the balls: %s', (_, table) => {
    const { cueBallRadius, cueBallMass, ballRadius, ballMass } = table.preset;
    const bed = {
      ...withoutCushions(table),
      parameters: { ...table.parameters, ballFriction: { a: 0, b: 0, c: 0 }, endMass: 0 },
    };
    const object = { x: 1, y: 0.6 };
    const target = { x: 2, y: 0.6 };
    const contact = contactPlace(object, target, cueBallRadius, ballRadius);
    for (const degrees of [-45, -20, 10, 30, 55]) {
      const from = toRadians(degrees);
      const cue = { x: contact.x - 0.5 * Math.cos(from), y: contact.y - 0.5 * Math.sin(from) };
      const path = naturalPath(cue, object, target, {
        cueBallRadius,
        cueBallMass,
        ballRadius,
        ballMass,
        restitution: table.parameters.ballRestitution,
      });
      const balls = [cueBall(cue.x, cue.y, table), ball('1', object.x, object.y, table)];
      const strike = {
        ...stroke,
        tip: { side: 0, height: 0.4 },
        direction: bearing(cue, contact),
        speed: 1.6,
      };
      const { paths } = simulate({ table: bed, balls, strike }, { paths: true });
      const last = paths![0]!.pieces.findLast((piece) => Math.hypot(piece.vx, piece.vy) > 0.01)!;
      expect(Math.abs(toDegrees(wrapAngle(Math.atan2(last.vy, last.vx) - path.rolling)))).toBeLessThan(0.1);
    }
  });
});

describe('the pocket’s margin', () => {
  it.each([
    [POOL, 'foot-left', { x: 1.2, y: 0.5 }, { x: 1.9, y: 0.8 }],
    [SNOOKER, 'foot-right', { x: 2, y: 0.9 }, { x: 2.9, y: 0.5 }],
    [POOL, 'middle-left', { x: 1.2, y: 0.3 }, { x: 1.3, y: 0.8 }],
  ] as const)('%#: inside it the ball falls, outside not', (table, pocket, cue, object) => {
    const acceptance = acceptanceOf(table, object, pocket)!;
    const margin = pocketMargin(table, cue, object, pocket, acceptance);
    const balls = [cueBall(cue.x, cue.y, table), ball('1', object.x, object.y, table)];
    const aim = aimToPot(table, balls, { ...stroke, tip: { side: 0, height: 0.3 } }, '1', pocket);
    if (aim.kind !== 'pots') throw new Error(aim.reason);
    const falls = (share: number) => {
      const direction = aim.shot.strike.direction + toRadians(share * margin.cueDeg);
      const { rest } = simulate({ ...aim.shot, strike: { ...aim.shot.strike, direction } });
      return rest[1]!.pocket === pocket;
    };
    for (const share of [-0.75, -0.4, 0.4, 0.75]) expect(falls(share)).toBe(true);
    for (const share of [-1.4, 1.4]) expect(falls(share)).toBe(false);
    expect(margin.mouthMm).toBeGreaterThan(5);
    expect(margin.objectDeg).toBeGreaterThan(margin.cueDeg);
  });
});

describe('acceptances for searches', () => {
  it.each([
    ['pool', POOL],
    ['snooker', SNOOKER],
  ] as const)('from other places agree with those of the place itself: %s', (_, table) => {
    const random = createRandom(5);
    const off: number[] = [];
    for (let run = 0; run < 40; run++) {
      const from = {
        x: table.length * (0.08 + 0.84 * random.uniform()),
        y: table.width * (0.08 + 0.84 * random.uniform()),
      };
      for (const pocket of ['foot-left', 'head-right', 'middle-left'] as const) {
        const exact = acceptanceOf(table, from, pocket);
        const near = acceptanceNear(table, from, pocket);
        if (exact === undefined || near === undefined) continue;
        const width = exact.high - exact.low;
        off.push(Math.abs(near.high - exact.high) / width, Math.abs(near.low - exact.low) / width);
      }
    }
    off.sort((a, b) => a - b);
    expect(off.length).toBeGreaterThan(120);
    expect(off[Math.floor(0.95 * off.length)]).toBeLessThan(0.1);
    expect(acceptanceNear(table, { x: 0.1, y: 0.04 }, 'middle-right')).toBeUndefined();
  });
});

describe('an aimer', () => {
  it('gives the same answer whatever it was asked before', () => {
    const [cue, object] = [cueBall(1, 0.4), ball('1', 1.7, 0.8)];
    const { middle } = acceptanceOf(POOL, object, 'foot-left')!;
    const used = createAimer(POOL, cue, object);
    used.solve({ ...stroke, speed: 5, tip: { side: 0.3, height: -0.2 } }, middle + 0.02);
    const fresh = createAimer(POOL, cue, object).solve(stroke, middle)!;
    expect(used.solve(stroke, middle)).toBeCloseTo(fresh, 8);
    expect(used.solve(stroke, middle + Math.PI)).toBeUndefined();
  });

  it('compensates squirt and swerve', () => {
    const bed = bedWith({ endMass: 0.006 });
    const [cue, object] = [cueBall(0.6, 0.4), ball('1', 1.7, 0.7)];
    const side = { ...stroke, tip: { side: 0.4, height: 0 }, elevation: toRadians(6) };
    const direction = createAimer(bed, cue, object).solve(side, toRadians(25))!;
    const { rest } = simulate({ table: bed, balls: [cue, object], strike: { ...side, direction } });
    expect(toDegrees(bearing(object, rest[1]!))).toBeCloseTo(25, 5);
    const plain = createAimer(bed, cue, object).solve(stroke, toRadians(25))!;
    expect(Math.abs(toDegrees(direction - plain))).toBeGreaterThan(0.1);
  });
});

describe('directions for which something holds', () => {
  it('are found to their edges, the widest first', () => {
    const ranges = directionsWhere(
      0,
      3,
      0.05,
      (x) => (x > 0.5 && x < 0.71) || (x > 1.33 && x < 2) || x > 2.9,
    );
    expect(ranges).toHaveLength(3);
    expect(ranges[0]!.low).toBeCloseTo(1.33, 4);
    expect(ranges[0]!.high).toBeCloseTo(2, 4);
    expect(ranges[1]!.low).toBeCloseTo(0.5, 4);
    expect(ranges[2]!.high).toBe(3);
    expect(directionsWhere(0, 1, 0.1, () => false)).toEqual([]);
  });

  it('of a mouth straight ahead lie around it', () => {
    const { mouth } = pocketNamed(POOL, 'foot-left');
    const from = { x: 1.6, y: 0.5 };
    const target = bearing(from, mouth);
    const [range] = directionsWhere(target - 0.3, target + 0.3, 0.01, (d) => Math.abs(d - target) < 0.02);
    expect(range!.low).toBeCloseTo(target - 0.02, 4);
  });
});
