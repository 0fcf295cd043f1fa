import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians } from '../math/angle.ts';
import type { Table } from '../table/table.ts';
import { createRandom } from '../random/random.ts';
import { ball, bedWith, energy, moving } from '../testing/balls.ts';
import { collideBalls, contactDistance } from './ballBall.ts';
import { simulateMotion } from './simulate.ts';
import type { BallMotion, BallOnTable } from './shot.ts';

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
});

/** Direction of the object ball right after a half-ball hit, from the line of centres, degrees, + is forwards. */
function throwAngle(speed: number, side: number, top: number): number {
  const cue = ball('cue', 0, 0);
  const [a, b] = cutShot(30, cue, ball('1', 0, 0), {
    vx: speed,
    wy: (top * speed) / cue.radius,
    // Cut to the left, so right side (a > 0, spin counter-clockwise) is outside.
    wz: (2.5 * side * speed) / cue.radius,
  });
  const first = {
    motion: { vx: a.vx, vy: 0, vz: 0, wx: 0, wy: a.wy, wz: a.wz },
    mass: a.mass,
    radius: a.radius,
  };
  const second = { motion: { vx: 0, vy: 0, vz: 0, wx: 0, wy: 0, wz: 0 }, mass: b.mass, radius: b.radius };
  collideBalls(first, second, b.x - a.x, b.y - a.y, real.parameters);
  return 30 - toDegrees(Math.atan2(second.motion.vy, second.motion.vx));
}

describe('throw at a half-ball hit', () => {
  it.each([
    ['stun, no side', 0, 0, [4.84, 4.15, 2.65, 1.27]],
    ['stun, outside 0.1', 0.1, 0, [2.42, 2.42, 2.42, 2.42]],
    ['stun, outside 0.2 (gearing)', 0.2, 0, [0, 0, 0, 0]],
    ['stun, outside 0.5', 0.5, 0, [-4.67, -3.3, -1.78, -0.81]],
    ['stun, inside 0.2', -0.2, 0, [4.15, 2.65, 1.27, 0.65]],
    ['stun, inside 0.5', -0.5, 0, [2.96, 1.49, 0.71, 0.57]],
    ['roll, no side', 0, 1, [2.08, 1.33, 0.64, 0.32]],
    ['roll, outside 0.5', 0.5, 1, [-2.54, -1.54, -0.71, -0.4]],
    ['roll, inside 0.5', -0.5, 1, [2.43, 1.17, 0.59, 0.51]],
    ['draw, no side', 0, -1, [2.08, 1.33, 0.64, 0.32]],
  ] as const)('%s', (_, side, top, expected) => {
    [0.5, 1, 2, 4].forEach((speed, i) => {
      expect(Math.abs(throwAngle(speed, side, top) - expected[i]!)).toBeLessThan(0.1);
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
  it('keeps momentum, never gives energy, and sends the balls apart', () => {
    const random = createRandom(31);
    const table = real.parameters;
    for (let i = 0; i < 500; i++) {
      const any = () => 6 * (random.uniform() - 0.5);
      const make = (id: string) =>
        moving(
          { id, x: 0, y: 0, radius: 0.022 + 0.01 * random.uniform(), mass: 0.1 + 0.1 * random.uniform() },
          {
            vx: any(),
            vy: any(),
            wx: 40 * any(),
            wy: 40 * any(),
            wz: 40 * any(),
          },
        );
      const balls = [make('a'), make('b')] as const;
      const [a, b] = balls.map(({ vx, vy, wx, wy, wz, mass, radius }) => ({
        motion: { vx, vy, vz: 0, wx, wy, wz },
        mass,
        radius,
      }));
      const angle = 2 * Math.PI * random.uniform();
      const met = collideBalls(a!, b!, Math.cos(angle), Math.sin(angle), table);
      const energyAfter = energy({ ...a!, ...a!.motion }) + energy({ ...b!, ...b!.motion });
      expect(energyAfter).toBeLessThanOrEqual((energy(balls[0]) + energy(balls[1])) * (1 + 1e-12));
      const along = (m: { vx: number; vy: number }) => m.vx * Math.cos(angle) + m.vy * Math.sin(angle);
      if (met) expect(along(b!.motion) - along(a!.motion)).toBeGreaterThanOrEqual(-0.02);
      if (balls[0].radius === balls[1].radius) continue;
      // The cloth takes vertical momentum only; along the plan nothing is lost.
      for (const axis of ['vx', 'vy'] as const) {
        const before = balls[0].mass * balls[0][axis] + balls[1].mass * balls[1][axis];
        expect(a!.mass * a!.motion[axis] + b!.mass * b!.motion[axis]).toBeCloseTo(before, 12);
      }
    }
  });
});
