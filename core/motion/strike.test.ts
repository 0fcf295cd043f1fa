import { describe, expect, it } from 'vitest';
import { toRadians } from '../math/angle.ts';
import { ball, bedWith, POOL, shotOf, strike } from '../testing/balls.ts';
import { simulate } from './simulate.ts';
import { squirtTangent, strikeBall } from './strike.ts';

const at = ball('cue', 0, 0);
const R = at.radius;

describe('the strike', () => {
  it('gives the speed along the cloth and the spin of r × J', () => {
    const tip = { side: 0.3, height: -0.2 };
    const b = strikeBall(at, strike({ speed: 2, direction: 0.7, tip }), 0);
    expect(Math.hypot(b.vx, b.vy)).toBeCloseTo(2, 12);
    // J = m·v along the cue at (side, height): ωz = 5·v·side/(2R), and ω across the cue 5·v·height/(2R).
    expect(b.wz).toBeCloseTo((2.5 * 2 * 0.3) / R, 10);
    expect(b.wx * -Math.sin(0.7) + b.wy * Math.cos(0.7)).toBeCloseTo((2.5 * 2 * -0.2) / R, 10);
    expect(b.wx * Math.cos(0.7) + b.wy * Math.sin(0.7)).toBeCloseTo(0, 10);
  });

  it.each([0.2, 0.6, 1.2])('with the butt raised by %s rad loses what points into the bed', (elevation) => {
    const b = strikeBall(at, strike({ speed: 3, elevation, tip: { side: 0.4, height: 0 } }), 0);
    expect(b.vx).toBeCloseTo(3 * Math.cos(elevation), 12);
    expect(b.vz).toBeCloseTo(-3 * Math.sin(elevation), 12);
    expect(b.wz).toBeCloseTo(((2.5 * 3 * 0.4) / R) * Math.cos(elevation), 9);
    expect(b.wx).toBeCloseTo(((2.5 * 3 * 0.4) / R) * Math.sin(elevation), 9);
  });
});

describe('squirt', () => {
  it('follows the formula, grows with the offset and with a lighter ball', () => {
    // a = 0.5, m/M = 170/7: 2.5·0.5·√0.75/(1 + 24.29 + 1.875) = 0.03985, 2.28°.
    expect(squirtTangent(0.5, 0.17, 0.007)).toBeCloseTo(0.03985, 4);
    expect(squirtTangent(0.3, 0.17, 0.007)).toBeLessThan(squirtTangent(0.5, 0.17, 0.007));
    expect(squirtTangent(0.5, 0.097, 0.007)).toBeGreaterThan(squirtTangent(0.5, 0.17, 0.007));
    expect(squirtTangent(0.5, 0.17, 0)).toBe(0);
  });

  it.each([0.4, -0.4])(
    'sends the ball to the other side of the cue’s line than the tip (side %s)',
    (side) => {
      const bed = bedWith({ endMass: 0.007, spinDeceleration: 10 });
      const { paths } = simulate(shotOf(bed, [at], { tip: { side, height: 0 } }), { paths: true });
      const { vx, vy } = paths![0]!.pieces[0]!;
      // Right side squirts to the left, +y.
      expect(Math.sign(vy)).toBe(Math.sign(side));
      expect(vy / vx).toBeCloseTo(squirtTangent(side, at.mass, 0.007), 12);
      expect(Math.hypot(vx, vy)).toBeCloseTo(2, 12);
    },
  );
});

describe('swerve and massé', () => {
  it('curve the more the more the butt is raised, in a parabola while the ball slides', () => {
    const bendOf = (deg: number) => {
      const shot = shotOf(bedWith(), [at], {
        speed: 2.5,
        tip: { side: 0.4, height: 0 },
        elevation: toRadians(deg),
      });
      const { paths } = simulate(shot, { paths: true });
      const [first, second] = paths![0]!.pieces;
      // Constant acceleration: the direction turns, the bend is what the straight line misses.
      const t = second!.t;
      expect(second!.x).toBeCloseTo(first!.x + first!.vx * t + 0.5 * first!.ax * t * t, 9);
      return Math.abs(Math.atan2(second!.vy, second!.vx));
    };
    const bends = [2, 10, 30, 60].map(bendOf);
    expect([...bends].sort((a, b) => a - b)).toEqual(bends);
    expect(bends[0]!).toBeGreaterThan(0.001);
    // A massé turns a ball round by more than a quarter.
    expect(bends[3]!).toBeGreaterThan(Math.PI / 6);
  });

  it('end in the direction that theory gives: 5/7 of the velocity and 2/7 of the spin’s', () => {
    const s = strike({ speed: 2, tip: { side: 0.35, height: -0.1 }, elevation: 0.5 });
    const b = strikeBall(at, s, 0);
    const { paths } = simulate({ table: bedWith(), balls: [at], strike: s }, { paths: true });
    const rolling = paths![0]!.pieces[1]!;
    expect(rolling.vx).toBeCloseTo((5 * b.vx + 2 * R * b.wy) / 7, 9);
    expect(rolling.vy).toBeCloseTo((5 * b.vy - 2 * R * b.wx) / 7, 9);
  });
});

describe('a shot that cannot be played', () => {
  it.each([
    ['tip past half a radius', { tip: { side: 0.4, height: 0.4 } }, 'miscue'],
    ['a speed below zero', { speed: -1 }, 'strike.speed'],
    ['a direction that is no number', { direction: NaN }, 'strike.direction'],
    ['the butt below level', { elevation: -0.1 }, 'strike.elevation'],
  ] as const)('is refused: %s', (_, over, text) => {
    expect(() => simulate(shotOf(POOL, [ball('cue', 1, 0.6)], over))).toThrow(text);
  });
});
