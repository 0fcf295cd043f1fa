import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians } from '../math/angle.ts';
import type { MotionParameters } from '../table/parameters.ts';
import { buildTable } from '../table/table.ts';
import { createCushionSolver } from './cushionRebound.ts';
import { reboundClosedForm, type Motion } from './cushionClosedForm.ts';
import { noseDistance } from './noseDistance.ts';
import { createState, giveMotion, placeAtRest } from './state.ts';

const R = 0.028575;
const base = buildTable('pool-9ft').parameters;
/** The parameters of the tables of figures; the nose at `sin` of the angle above the centre. */
const tabled = (sin: number): MotionParameters => ({
  ...base,
  cushionRestitution: 0.98,
  cushionFriction: 0.14,
  slidingFriction: 0.2,
  noseHeight: R * (1 + sin),
});

interface Ball {
  readonly speed: number;
  /** From the normal, degrees. */
  readonly inDeg: number;
  /** Running side is positive: R·ωz = 2.5·side·v. */
  readonly side: number;
  /** 1 for rolling, 0 for sliding without spin. */
  readonly roll?: number;
}

/** A ball meets the cushion on its +y side, coming from the left. */
function rebound(p: MotionParameters, { speed, inDeg, side, roll = 1 }: Ball, mirror: 1 | -1 = 1) {
  const vx = mirror * speed * Math.sin(toRadians(inDeg));
  const vy = speed * Math.cos(toRadians(inDeg));
  const s = createState(1);
  const motion = { vx, vy, wx: (-roll * vy) / R, wy: (roll * vx) / R, wz: (mirror * 2.5 * side * speed) / R };
  const ball = { id: 'a', x: 0, y: 0, radius: R, mass: 0.17, ...motion };
  placeAtRest(s, 0, ball, p);
  giveMotion(s, 0, ball);
  createCushionSolver(p).rebound(s, 0, 0, 1);
  const [ox, oy] = [mirror * s.vx[0]!, s.vy[0]!];
  // Once it rolls it has 5/7 of its velocity and 2/7 of its spin's.
  const rx = (5 * ox + 2 * R * mirror * s.wy[0]!) / 7;
  const ry = (5 * oy - 2 * R * s.wx[0]!) / 7;
  return {
    outDeg: toDegrees(Math.atan2(ox, -oy)),
    speed: Math.hypot(ox, oy) / speed,
    side: (mirror * R * s.wz[0]!) / speed,
    rolledDeg: toDegrees(Math.atan2(rx, -ry)),
    rolledSpeed: Math.hypot(rx, ry) / speed,
    energy: ox ** 2 + oy ** 2 + 0.4 * R * R * (s.wx[0]! ** 2 + s.wy[0]! ** 2 + s.wz[0]! ** 2),
  };
}

/** In, side, out, speed, R·ωz, out once rolling, speed once rolling. */
type Row = readonly [number, number, number, number, number, number, number];
const POOL: readonly Row[] = [
  [30, -0.5, 17.68, 0.884, -0.684, 30.76, 0.56],
  [30, 0, 22.23, 0.909, 0.381, 33.89, 0.639],
  [30, 0.5, 37.53, 1.061, 0.893, 49.9, 0.83],
  [45, -0.5, 36.46, 0.857, -0.765, 53.89, 0.649],
  [45, 0, 38.28, 0.875, 0.403, 53.35, 0.692],
  [45, 0.5, 49.25, 1.047, 1.04, 60.9, 0.9],
  [60, -0.5, 55.92, 0.871, -0.895, 70.23, 0.778],
  [60, 0, 56.38, 0.879, 0.329, 69.52, 0.792],
  [60, 0.5, 61.77, 1.016, 1.179, 70.97, 0.945],
];
const SNOOKER: readonly Row[] = [
  [30, -0.5, 16.28, 0.868, -0.662, 25.42, 0.567],
  [30, 0, 21.13, 0.87, 0.427, 31.17, 0.606],
  [30, 0.5, 38.09, 1.016, 0.96, 50.96, 0.807],
  [45, -0.5, 35.52, 0.84, -0.748, 49.89, 0.638],
  [45, 0, 37.35, 0.85, 0.439, 50.4, 0.669],
  [45, 0.5, 49.27, 0.992, 1.148, 61.31, 0.857],
  [60, -0.5, 55.48, 0.857, -0.884, 67.99, 0.762],
  [60, 0, 56.01, 0.862, 0.346, 67.66, 0.773],
  [60, 0.5, 61.64, 0.962, 1.294, 71.05, 0.895],
];

describe.each([
  ['a nose at 0.27 R above the centre', 0.27, POOL],
  ['a nose at 0.40 R above the centre', 0.4, SNOOKER],
] as const)('%s', (_, sin, rows) => {
  it.each([...rows])(
    'at %s° in and side %s gives the tabled rebound',
    (inDeg, side, out, speed, spin, rolled, slow) => {
      for (const v of [1, 3]) {
        for (const mirror of [1, -1] as const) {
          const r = rebound(tabled(sin), { speed: v, inDeg, side }, mirror);
          expect(Math.abs(r.outDeg - out)).toBeLessThan(0.05);
          expect(Math.abs(r.speed - speed)).toBeLessThan(0.002);
          expect(Math.abs(r.side - spin)).toBeLessThan(0.003);
          expect(Math.abs(r.rolledDeg - rolled)).toBeLessThan(0.05);
          expect(Math.abs(r.rolledSpeed - slow)).toBeLessThan(0.002);
        }
      }
    },
  );

  it.each([
    ['rolling', 1, [0.96, 0.616], [0.914, 0.582]],
    ['sliding without spin', 0, [0.888, 0.59], [0.841, 0.573]],
  ] as const)(
    'sends a ball that comes straight and %s back at the tabled speeds',
    (_how, roll, low, high) => {
      const r = rebound(tabled(sin), { speed: 1, inDeg: 0, side: 0, roll });
      const [now, rolled] = sin === 0.27 ? low : high;
      expect(Math.abs(r.speed - now)).toBeLessThan(0.002);
      expect(Math.abs(r.rolledSpeed - rolled)).toBeLessThan(0.002);
      expect(r.outDeg).toBeCloseTo(0, 9);
    },
  );
});

describe('a cushion', () => {
  it('meets a ball √(R² − (h − R)²) before the nose', () => {
    expect(noseDistance(0.03, 0.03)).toBe(0.03);
    expect(noseDistance(0.028575, 0.0363)).toBeCloseTo(0.0275108, 6);
  });

  it.each([15, 30, 45])(
    'right after the rebound running side is wider and check side narrower at %s°',
    (inDeg) => {
      for (const speed of [0.6, 1.5, 4]) {
        const out = (side: number) => rebound(base, { speed, inDeg, side }).outDeg;
        expect(out(0.4)).toBeGreaterThan(out(0));
        expect(out(-0.4)).toBeLessThan(out(0));
      }
    },
  );

  it('agrees with the closed form where the cloth has no friction and the slip keeps its direction', () => {
    const smooth = { ...base, slidingFriction: 0 };
    const level = { ...smooth, noseHeight: R };
    for (const [inDeg, side] of [
      [50, 0],
      [35, 0.3],
      [60, -0.4],
    ] as const) {
      const r = rebound(level, { speed: 2, inDeg, side, roll: 0 });
      const m: Motion = {
        vx: 2 * Math.sin(toRadians(inDeg)),
        vy: 2 * Math.cos(toRadians(inDeg)),
        vz: 0,
        wx: 0,
        wy: 0,
        wz: (2.5 * side * 2) / R,
      };
      reboundClosedForm(m, R, 0, 1, 0, level);
      expect(r.outDeg).toBeCloseTo(toDegrees(Math.atan2(m.vx, -m.vy)), 3);
      expect(2 * r.speed).toBeCloseTo(Math.hypot(m.vx, m.vy), 4);
      expect(2 * r.side).toBeCloseTo(R * m.wz, 4);
    }
  });

  it('with a restitution that falls with speed gives a fast ball back less', () => {
    const soft = { ...base, cushionRestitutionFall: 0.05 };
    const at = (speed: number) => rebound(soft, { speed, inDeg: 0, side: 0 }).speed;
    expect(at(4)).toBeLessThan(at(1) - 0.08);
    expect(at(1e-3)).toBeCloseTo(rebound(base, { speed: 1, inDeg: 0, side: 0 }).speed, 3);
  });

  it('gives a rolling ball the same from its table of rebounds as from the equations', () => {
    for (let inDeg = 1; inDeg < 89; inDeg += 3.7) {
      const kept = rebound(base, { speed: 1, inDeg, side: 0.2 });
      // A fall too small to matter switches the table off.
      const solved = rebound({ ...base, cushionRestitutionFall: 1e-15 }, { speed: 1, inDeg, side: 0.2 });
      expect(Math.abs(kept.outDeg - solved.outDeg)).toBeLessThan(0.002);
      expect(Math.abs(kept.speed - solved.speed)).toBeLessThan(2e-5);
    }
  });

  it('never gives energy and always turns the ball back', () => {
    for (let inDeg = 0; inDeg < 89; inDeg += 4) {
      for (const side of [-0.5, -0.2, 0, 0.2, 0.5]) {
        for (const roll of [-1, 0, 0.4, 1]) {
          const before = 4 * (1 + 0.4 * (roll * roll + (2.5 * side) ** 2));
          const r = rebound(base, { speed: 2, inDeg, side, roll });
          expect(r.energy).toBeLessThanOrEqual(before * (1 + 1e-9));
          expect(Math.abs(r.outDeg)).toBeLessThan(90);
        }
      }
    }
  });
});
