import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians } from '../math/angle.ts';
import type { Table } from '../table/table.ts';
import { createRandom } from '../random/random.ts';
import { ball, bedWith, energy, moving } from '../testing/balls.ts';
import { collideBalls, contactDistance } from './ballBall.ts';
import { simulateMotion } from './simulate.ts';
import type { BallMotion, BallOnTable, PathPiece } from './shot.ts';
import { createState, giveMotion, placeAtRest, type BallsState } from './state.ts';

const NO_FRICTION = { a: 0, b: 0, c: 0 };
const ideal = bedWith({ ballRestitution: 1, ballFriction: NO_FRICTION });
const real = bedWith({ ballRestitution: 0.95, ballFriction: { a: 0.009951, b: 0.108, c: 1.088 } });

/**
 * Cue ball along +x meets an object ball so that this is cut to the left by `cutDeg`; both balls right at contact.
 */
function cutShot(cutDeg: number, cueBall: BallOnTable, objectBall: BallOnTable, motion: Partial<BallMotion>) {
  const reach = contactDistance(cueBall.radius, objectBall.radius) + 1e-10;
  const cut = toRadians(cutDeg);
  return [
    moving({ ...cueBall, x: 0, y: 0 }, motion),
    moving({ ...objectBall, x: reach * Math.cos(cut), y: reach * Math.sin(cut) }, {}),
  ] as const;
}

/** Angle of the cue ball's way once it rolls again, degrees away from its old one. */
function deflection(
  table: Table,
  cutDeg: number,
  speed: number,
  cue = ball('cue', 0, 0),
  object = ball('1', 0, 0),
) {
  const rolling = { vx: speed, wy: speed / cue.radius };
  const { paths } = simulateMotion(table, cutShot(cutDeg, cue, object, rolling), { paths: true });
  const last = paths![0]!.pieces.findLast((piece) => piece.vx !== 0 || piece.vy !== 0)!;
  return Math.abs(toDegrees(Math.atan2(last.vy, last.vx)));
}

/** Cut, elastic without friction, real at 1 and at 3 m/s, degrees. */
const LIGHT = [
  [15, 36.82, 37.85, 35.32],
  [30, 39.95, 40.37, 38.87],
  [45, 33.1, 33.11, 32.35],
  [60, 23.06, 22.88, 22.56],
] as const;
const SMALL = [
  [15, 35.99, 36.98, 34.53],
  [30, 39.4, 39.8, 38.33],
  [45, 32.75, 32.76, 32.01],
  [60, 22.86, 22.67, 22.35],
] as const;

describe('the natural path of a rolling cue ball', () => {
  it.each([
    [15, 28.16],
    [30, 33.67],
    [45, 29.05],
    [60, 20.63],
  ])('at a cut of %s° is bent by %s° (elastic, frictionless)', (cut, bent) => {
    for (const speed of [0.7, 1, 3]) expect(deflection(ideal, cut, speed)).toBeCloseTo(bent, 1.5);
    const phi = toRadians(cut);
    const theory = Math.atan((Math.sin(phi) * Math.cos(phi)) / (Math.sin(phi) ** 2 + 0.4));
    expect(deflection(ideal, cut, 2)).toBeCloseTo(toDegrees(theory), 6);
  });

  it.each([
    [15, 28.62, 27.06],
    [30, 33.84, 32.73],
    [45, 28.97, 28.37],
    [60, 20.43, 20.17],
  ])('at a cut of %s° with real balls is %s° at 1 m/s and %s° at 3 m/s', (cut, slow, fast) => {
    expect(Math.abs(deflection(real, cut, 1) - slow)).toBeLessThan(0.1);
    expect(Math.abs(deflection(real, cut, 3) - fast)).toBeLessThan(0.1);
  });

  it('follows the tilted formula for unequal balls', () => {
    const cue = { id: 'cue', x: 0, y: 0, radius: 0.0238, mass: 0.8227 };
    const object = { id: '1', x: 0, y: 0, radius: 0.0254, mass: 1 };
    for (const [cut, bent] of [
      [15, 35.99],
      [30, 39.4],
      [45, 32.75],
      [60, 22.86],
    ] as const) {
      expect(Math.abs(deflection(ideal, cut, 1, cue, object) - bent)).toBeLessThan(0.1);
    }
  });

  it.each([
    ['a lighter ball', { radius: 0.028575, mass: 0.81 }, { radius: 0.028575, mass: 1 }, 0, LIGHT],
    ['the small-table cue ball', { radius: 0.0238, mass: 0.8227 }, { radius: 0.0254, mass: 1 }, 1, SMALL],
  ] as const)('of %s is the tabled one, ideal and real', (_, a, b, tilted, rows) => {
    const cue = { id: 'cue', x: 0, y: 0, ...a };
    const object = { id: '1', x: 0, y: 0, ...b };
    for (const [cut, formula, slow, fast] of rows) {
      expect(Math.abs(deflection(ideal, cut, 2, cue, object) - formula)).toBeLessThan(0.02);
      expect(Math.abs(deflection(real, cut, 1, cue, object) - slow)).toBeLessThan(0.05);
      expect(Math.abs(deflection(real, cut, 3, cue, object) - fast)).toBeLessThan(0.05);
      const phi = toRadians(cut);
      const tilt = tilted * Math.asin((b.radius - a.radius) / (a.radius + b.radius));
      const k = ((2 * b.mass) / (a.mass + b.mass)) * Math.cos(tilt) ** 2;
      const theory = Math.atan2(k * Math.sin(phi) * Math.cos(phi), 7 / 5 - k * Math.cos(phi) ** 2);
      expect(deflection(ideal, cut, 2, cue, object)).toBeCloseTo(toDegrees(theory), 1);
    }
  });
});

/** Direction of the object ball right after a half-ball hit, from the line of centres, degrees, + is forwards. */
function throwAngle(speed: number, side: number, top: number): readonly [number, number] {
  const cue = ball('cue', 0, 0);
  const [a, b] = cutShot(30, cue, ball('1', 0, 0), {
    vx: speed,
    wy: (top * speed) / cue.radius,
    // Cut to the left, so right side (a > 0, spin counter-clockwise) is outside.
    wz: (2.5 * side * speed) / cue.radius,
  });
  const { paths } = simulateMotion(real, [a, b], { paths: true });
  const pieces = paths![1]!.pieces.filter((piece) => piece.vx !== 0 || piece.vy !== 0);
  const directionOf = (piece: PathPiece) => 30 - toDegrees(Math.atan2(piece.vy, piece.vx));
  // Just after the impact, and once it rolls.
  return [directionOf(pieces[0]!), directionOf(pieces[1]!)] as const;
}

describe('throw at a half-ball hit', () => {
  it.each([
    ['stun, no side', 0, 0, [4.84, 4.15, 2.65, 1.27], [4.84, 4.15, 2.65, 1.27]],
    ['stun, outside 0.1', 0.1, 0, [2.42, 2.42, 2.42, 2.42], [2.42, 2.42, 2.42, 2.42]],
    ['stun, outside 0.2 (gearing)', 0.2, 0, [0, 0, 0, 0], [0, 0, 0, 0]],
    ['stun, outside 0.5', 0.5, 0, [-4.67, -3.3, -1.78, -0.81], [-4.67, -3.3, -1.78, -0.81]],
    ['stun, inside 0.2', -0.2, 0, [4.15, 2.65, 1.27, 0.65], [4.15, 2.65, 1.27, 0.65]],
    ['stun, inside 0.5', -0.5, 0, [2.96, 1.49, 0.71, 0.57], [2.96, 1.49, 0.71, 0.57]],
    ['roll, no side', 0, 1, [2.08, 1.33, 0.64, 0.32], [2.22, 1.38, 0.65, 0.33]],
    ['roll, outside 0.2', 0.2, 1, [0, 0, 0, 0], [0, 0, 0, 0]],
    ['roll, outside 0.5', 0.5, 1, [-2.54, -1.54, -0.71, -0.4], [-2.68, -1.59, -0.72, -0.4]],
    ['roll, inside 0.5', -0.5, 1, [2.43, 1.17, 0.59, 0.51], [2.48, 1.19, 0.59, 0.51]],
    ['draw, no side', 0, -1, [2.08, 1.33, 0.64, 0.32], [1.96, 1.28, 0.62, 0.32]],
  ] as const)('%s', (_, side, top, now, rolled) => {
    [0.5, 1, 2, 4].forEach((speed, i) => {
      const [after, once] = throwAngle(speed, side, top);
      expect(Math.abs(after - now[i]!)).toBeLessThan(0.02);
      expect(Math.abs(once - rolled[i]!)).toBeLessThan(0.02);
    });
  });
});

describe('a stun shot', () => {
  it('parts equal balls at 90° when elastic, at 87.0° at restitution 0.94 and half ball', () => {
    const part = (e: number) => {
      const table = bedWith({ ballRestitution: e, ballFriction: NO_FRICTION });
      const balls = cutShot(30, ball('cue', 0, 0), ball('1', 0, 0), { vx: 2 });
      const { paths } = simulateMotion(table, balls, { paths: true });
      const [cue, object] = paths!.map((path) => path.pieces[1]!);
      return Math.abs(toDegrees(Math.atan2(cue!.vy, cue!.vx) - Math.atan2(object!.vy, object!.vx)));
    };
    expect(part(1)).toBeCloseTo(90, 6);
    expect(part(0.94)).toBeCloseTo(87.0, 1);
  });

  it('sends a light cue ball back at (m1 − e·m2)/(m1 + m2) of its speed', () => {
    const table = bedWith({ ballRestitution: 0.94 });
    const cue = { id: 'cue', x: 0, y: 0, radius: 0.0254, mass: 0.097 };
    const object = { id: '1', x: 0, y: 0, radius: 0.0254, mass: 0.118 };
    const { paths } = simulateMotion(table, cutShot(0, cue, object, { vx: 1 }), { paths: true });
    const after = paths![0]!.pieces[1]!.vx;
    expect(after).toBeCloseTo((0.097 - 0.94 * 0.118) / (0.097 + 0.118), 9);
    expect(after).toBeLessThan(-0.06);
  });

  it('meets unequal balls where two spheres on the cloth touch, 2·√(R1·R2) apart in plan', () => {
    expect(contactDistance(0.0238, 0.0254)).toBeCloseTo(Math.sqrt((0.0238 + 0.0254) ** 2 - 0.0016 ** 2), 15);
  });
});

describe('any collision', () => {
  const random = createRandom(31);
  const draw = () => 6 * (random.uniform() - 0.5);

  /** Two balls in touch with any motion, perhaps of unlike size. */
  function pairInTouch(unlike: boolean) {
    const s = createState(2);
    s.count = 2;
    const angle = 2 * Math.PI * random.uniform();
    const sizes = [0.0286, unlike ? 0.0286 - 0.006 * random.uniform() : 0.0286] as const;
    const reach = contactDistance(...sizes);
    sizes.forEach((radius, i) => {
      const motion = {
        id: String(i),
        x: i * reach * Math.cos(angle),
        y: i * reach * Math.sin(angle),
        radius,
        mass: unlike ? 0.1 + 0.1 * random.uniform() : 0.17,
        vx: draw(),
        vy: draw(),
        wx: 40 * draw(),
        wy: 40 * draw(),
        wz: 40 * draw(),
      };
      placeAtRest(s, i, motion, real.parameters);
      giveMotion(s, i, motion);
    });
    return { s, angle };
  }

  const ballOf = (s: BallsState, i: number) => ({
    vx: s.vx[i]!,
    vy: s.vy[i]!,
    wx: s.wx[i]!,
    wy: s.wy[i]!,
    wz: s.wz[i]!,
    mass: s.mass[i]!,
    radius: s.radius[i]!,
  });

  it.each([false, true])(
    'never gives energy, sends the balls apart, keeps momentum (unlike: %s)',
    (unlike) => {
      for (let n = 0; n < 500; n++) {
        const { s, angle } = pairInTouch(unlike);
        const before = [ballOf(s, 0), ballOf(s, 1)] as const;
        const met = collideBalls(s, 0, 1, real.parameters);
        const after = [ballOf(s, 0), ballOf(s, 1)] as const;
        expect(energy(after[0]) + energy(after[1])).toBeLessThanOrEqual(
          (energy(before[0]) + energy(before[1])) * (1 + 1e-12),
        );
        const along = (b: { vx: number; vy: number }) => b.vx * Math.cos(angle) + b.vy * Math.sin(angle);
        if (met) expect(along(after[1]) - along(after[0])).toBeGreaterThan(unlike ? -0.05 : 0);
        for (const axis of ['vx', 'vy'] as const) {
          const sum = (pair: typeof before) => pair[0].mass * pair[0][axis] + pair[1].mass * pair[1][axis];
          expect(sum(after)).toBeCloseTo(sum(before), 12);
        }
      }
    },
  );
});
