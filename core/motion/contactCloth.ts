import type { MotionParameters } from '../table/parameters.ts';
import type { BallsState } from './state.ts';

/**
 * What the cloth does to ball k within a short time: sliding friction against the slip or, once that is gone within
 * the time, rolling. Used where the motion is stepped, not solved.
 * @param dt seconds, some microseconds
 */
export function rubOnCloth(s: BallsState, k: number, dt: number, p: MotionParameters): void {
  const radius = s.radius[k]!;
  const slipX = s.vx[k]! - radius * s.wy[k]!;
  const slipY = s.vy[k]! + radius * s.wx[k]!;
  const slip = Math.sqrt(slipX * slipX + slipY * slipY);
  const most = p.slidingFriction * p.gravity * dt;
  if (slip > 0) {
    const change = Math.min(most, (2 / 7) * slip) / slip;
    s.vx[k] = s.vx[k]! - change * slipX;
    s.vy[k] = s.vy[k]! - change * slipY;
    s.wx[k] = s.wx[k]! - (2.5 * change * slipY) / radius;
    s.wy[k] = s.wy[k]! + (2.5 * change * slipX) / radius;
  }
  if (slip <= 3.5 * most) {
    const speed = Math.sqrt(s.vx[k]! * s.vx[k]! + s.vy[k]! * s.vy[k]!);
    if (speed > 0) {
      const keep = Math.max(0, 1 - (p.rollingFriction * p.gravity * dt) / speed);
      s.vx[k] = s.vx[k]! * keep;
      s.vy[k] = s.vy[k]! * keep;
      s.wx[k] = -s.vy[k] / radius;
      s.wy[k] = s.vx[k] / radius;
    }
  }
  const spin = s.wz[k]!;
  const left = Math.max(0, Math.abs(spin) - p.spinDeceleration * dt);
  s.wz[k] = spin < 0 ? -left : left;
}
