import { describe, expect, it } from 'vitest';
import { toDegrees } from '../math/angle.ts';
import { ball, bedWith, moving, POOL, shotOf } from '../testing/balls.ts';
import { contactDuration, hertzStiffness } from './hertz.ts';
import { simulate, simulateMotion } from './simulate.ts';
import type { BallMotion, SimulateOptions } from './shot.ts';

const R = POOL.preset.ballRadius;
const smooth = bedWith({ ballRestitution: 1, ballFriction: { a: 0, b: 0, c: 0 }, slidingFriction: 1e-9 });
const bed = bedWith();

/** Velocities 60 ms after the first touch. */
function after(table: typeof bed, balls: readonly BallMotion[], options: SimulateOptions = {}) {
  const { paths, events } = simulateMotion(table, balls, { ...options, paths: true });
  const start = events.find((event) => event.kind === 'ball-ball')!.t;
  return paths!.map(({ pieces }) => pieces.findLast((piece) => piece.t < start + 0.06)!);
}

/** A row of balls along x with gaps between them; the first one comes at a speed. */
function row(count: number, gap: number, speed: number) {
  return Array.from({ length: count }, (_, i) =>
    moving(ball(String(i), i * (2 * R + gap) - (i === 0 ? 0.01 : 0), 0), i === 0 ? { vx: speed } : {}),
  );
}

describe('Hertz contact', () => {
  it('lasts 200 to 500 µs at the speeds of the game, shorter when faster', () => {
    const k = hertzStiffness(R, R);
    const at = (v: number) => contactDuration(v, 0.085, k) * 1e6;
    expect(at(0.5)).toBeLessThan(520);
    expect(at(10)).toBeGreaterThan(180);
    // T ∝ v^(−1/5)
    expect(at(1) / at(8)).toBeCloseTo(8 ** 0.2, 6);
  });

  it.each([0.3, 1, 4])('gives two balls their restitution whatever the speed (%s m/s)', (speed) => {
    for (const e of [0.6, 0.9, 0.94]) {
      const table = bedWith({
        ballRestitution: e,
        ballFriction: { a: 0, b: 0, c: 0 },
        slidingFriction: 1e-9,
      });
      // A third ball stands near, but out of the way, so that the contact is integrated.
      const balls = [...row(2, 0, speed), moving(ball('by', 2 * R, 2 * R + 1e-5), {})];
      const [a, b, by] = after(table, balls);
      expect((b!.vx - a!.vx) / speed).toBeCloseTo(e, 3);
      expect(a!.vx + b!.vx).toBeCloseTo(speed, 6);
      expect(by!.vx).toBe(0);
    }
  });
});

describe('balls in a row', () => {
  it('pass most of an elastic blow on to the last, not all of it: all contacts press at once', () => {
    for (const speed of [1, 3]) {
      const v = after(smooth, row(5, 0, speed)).map((piece) => piece.vx / speed);
      expect(v.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6);
      expect(v.reduce((a, b) => a + b * b, 0)).toBeCloseTo(1, 4);
      expect(v[4]!).toBeGreaterThan(0.9);
      // Known of Hertzian chains: the first ball comes back a little.
      expect(v[0]!).toBeLessThan(-0.01);
      const apart = after(smooth, row(5, 0.002, speed)).map((piece) => piece.vx / speed);
      expect(apart[4]!).toBeCloseTo(1, 6);
    }
  });
});

/** Where the second ball of a plant goes, degrees from its line of centres; + towards the side it is hit from. */
function plantAngle(gap: number, offset: number, speed = 1.5): number {
  const first = ball('1', 0, 0);
  const second = ball('2', 2 * R + gap, 0);
  const from = Math.PI + offset;
  const cue = moving(ball('cue', 0.3 * Math.cos(from), 0.3 * Math.sin(from)), {
    vx: -speed * Math.cos(from),
    vy: -speed * Math.sin(from),
  });
  const [, , hit] = after(bed, [cue, moving(first, {}), moving(second, {})]);
  return toDegrees(Math.atan2(hit!.vy, hit!.vx));
}

describe('a plant', () => {
  it.each([0.3, -0.3, 0.5])(
    'touching throws to the other side than a wide gap (hit from %s rad aside)',
    (offset) => {
      const touching = plantAngle(0, offset);
      const wide = plantAngle(0.03, offset);
      expect(Math.sign(touching)).toBe(-Math.sign(wide));
      expect(Math.abs(touching)).toBeGreaterThan(0.3);
      expect(Math.abs(wide)).toBeGreaterThan(0.3);
      // In between lies a gap at which both cancel.
      let low = 0;
      let high = 0.03;
      for (let k = 0; k < 30; k++) {
        const middle = (low + high) / 2;
        if (Math.sign(plantAngle(middle, offset)) === Math.sign(touching)) low = middle;
        else high = middle;
      }
      expect(Math.abs(plantAngle(low, offset))).toBeLessThan(0.15);
      expect(low).toBeGreaterThan(1e-5);
    },
  );

  it('mirrors', () => {
    for (const gap of [0, 1e-4, 5e-4]) {
      expect(plantAngle(gap, -0.35)).toBeCloseTo(-plantAngle(gap, 0.35), 6);
    }
  });
});

describe('a tight rack', () => {
  it('broken head on moves as a mirror image of itself', () => {
    const rack = [ball('cue', 0.6, POOL.width / 2)];
    for (let line = 0; line < 5; line++) {
      for (let k = 0; k <= line; k++) {
        rack.push(ball(`${line}${k}`, 1.905 + line * R * Math.sqrt(3), POOL.width / 2 + (2 * k - line) * R));
      }
    }
    const { paths, events, complete } = simulate(shotOf(POOL, rack, { speed: 8 }), { paths: true });
    expect(complete).toBe(true);
    const start = events.find((event) => event.kind === 'ball-ball')!.t;
    const velocity = (id: string) =>
      paths!.find((path) => path.id === id)!.pieces.findLast((piece) => piece.t < start + 4e-3)!;
    for (let line = 1; line < 5; line++) {
      for (let k = 0; k <= line; k++) {
        const [a, b] = [velocity(`${line}${k}`), velocity(`${line}${line - k}`)];
        expect(a.vx).toBeCloseTo(b.vx, 4);
        expect(a.vy).toBeCloseTo(-b.vy, 4);
      }
    }
    // The corner balls leave fast, the ball behind the head one hardly.
    expect(Math.hypot(velocity('40').vx, velocity('40').vy)).toBeGreaterThan(1);
  });
});
