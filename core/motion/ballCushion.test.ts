import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians } from '../math/angle.ts';
import { POOL } from '../testing/balls.ts';
import { noseDistance, reboundFromCushion } from './ballCushion.ts';

const R = POOL.preset.ballRadius;
const M = POOL.preset.ballMass;

/** A ball rolling into a cushion on its +y side; `inDeg` from the normal, side as ωz·R = 2.5·a·v. */
function rebound(inDeg: number, side: number, speed = 1) {
  const vx = speed * Math.sin(toRadians(inDeg));
  const vy = speed * Math.cos(toRadians(inDeg));
  const motion = { vx, vy, vz: 0, wx: -vy / R, wy: vx / R, wz: (2.5 * side * speed) / R };
  reboundFromCushion(motion, M, R, 0, 1, POOL.parameters);
  return {
    ...motion,
    outDeg: toDegrees(Math.atan2(motion.vx, -motion.vy)),
    speed: Math.hypot(motion.vx, motion.vy),
  };
}

describe('a cushion', () => {
  it('meets a ball √(R² − (h − R)²) before the nose', () => {
    expect(noseDistance(0.03, 0.03)).toBe(0.03);
    expect(noseDistance(0.028575, 0.0363)).toBeCloseTo(0.0275108, 6);
  });

  it.each([15, 30, 45])('sends running side wider and check side narrower at %s° in', (inDeg) => {
    const plain = rebound(inDeg, 0).outDeg;
    const wider = Math.max(rebound(inDeg, 0.4).outDeg, rebound(inDeg, -0.4).outDeg);
    const narrower = Math.min(rebound(inDeg, 0.4).outDeg, rebound(inDeg, -0.4).outDeg);
    expect(wider).toBeGreaterThan(plain);
    expect(narrower).toBeLessThan(plain);
    expect(rebound(inDeg, 0.4).outDeg).toBe(wider);
  });

  it('mirrors: the same ball from the other side comes off mirrored', () => {
    for (const inDeg of [10, 35, 70]) {
      for (const side of [-0.5, 0, 0.3]) {
        const right = rebound(inDeg, side);
        const left = rebound(-inDeg, -side);
        expect(left.outDeg).toBeCloseTo(-right.outDeg, 10);
        expect(left.wz).toBeCloseTo(-right.wz, 8);
      }
    }
  });

  it('never gives energy and always turns the ball back', () => {
    for (let inDeg = 0; inDeg < 89; inDeg += 4) {
      for (const side of [-0.5, -0.2, 0, 0.2, 0.5]) {
        const speed = 2;
        const before = speed ** 2 * (1 + 0.4 * (1 + (2.5 * side) ** 2));
        const m = rebound(inDeg, side, speed);
        const after = m.speed ** 2 + 0.4 * R * R * (m.wx ** 2 + m.wy ** 2 + m.wz ** 2);
        expect(after).toBeLessThanOrEqual(before * (1 + 1e-12));
        expect(m.vy).toBeLessThan(0);
      }
    }
  });
});
