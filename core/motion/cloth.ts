import type { MotionParameters } from '../table/parameters.ts';
import { Phase, type BallsState } from './state.ts';

/** Slip at the cloth below which a ball rolls, m/s: far under what a ball can show, far over rounding. */
const NO_SLIP = 1e-9;
/** Speed below which a ball lies still, m/s. */
const STILL = 1e-9;
/** Spin about the vertical below which a ball no longer turns, rad/s. */
const NO_SPIN = 1e-9;

/** Brings ball i from its own clock to time t along its present phase. */
export function advance(s: BallsState, i: number, t: number, p: MotionParameters): void {
  const dt = t - s.t0[i]!;
  s.t0[i] = t;
  if (dt === 0 || s.phase[i] === Phase.Rest || s.phase[i] === Phase.Potted) return;
  s.x[i] = s.x[i]! + (s.vx[i]! + 0.5 * s.ax[i]! * dt) * dt;
  s.y[i] = s.y[i]! + (s.vy[i]! + 0.5 * s.ay[i]! * dt) * dt;
  s.vx[i] = s.vx[i]! + s.ax[i]! * dt;
  s.vy[i] = s.vy[i]! + s.ay[i]! * dt;
  if (s.phase[i] === Phase.Rolling) {
    s.wx[i] = -s.vy[i] / s.radius[i]!;
    s.wy[i] = s.vx[i] / s.radius[i]!;
  } else {
    s.wx[i] = s.wx[i]! + s.bx[i]! * dt;
    s.wy[i] = s.wy[i]! + s.by[i]! * dt;
  }
  const spin = s.wz[i]!;
  const left = Math.max(0, Math.abs(spin) - p.spinDeceleration * dt);
  s.wz[i] = spin < 0 ? -left : left;
}

/**
 * Decides from velocity and spin what ball i does now, and for how long: sliding while the lowest point slips
 * (constant friction against the slip, which falls at 7/2·μs·g), then rolling at μr·g until it rests.
 */
export function enterPhase(s: BallsState, i: number, p: MotionParameters): void {
  const t = s.t0[i]!;
  const radius = s.radius[i]!;
  const vx = s.vx[i]!;
  const vy = s.vy[i]!;
  s.bx[i] = 0;
  s.by[i] = 0;
  const slipX = vx - radius * s.wy[i]!;
  const slipY = vy + radius * s.wx[i]!;
  const slip = Math.sqrt(slipX * slipX + slipY * slipY);
  if (slip > NO_SLIP) {
    const a = p.slidingFriction * p.gravity;
    s.ax[i] = (-a * slipX) / slip;
    s.ay[i] = (-a * slipY) / slip;
    s.bx[i] = (2.5 * s.ay[i]) / radius;
    s.by[i] = (-2.5 * s.ax[i]) / radius;
    s.phase[i] = Phase.Sliding;
    s.phaseEnd[i] = t + slip / (3.5 * a);
    return;
  }
  const speed = Math.sqrt(vx * vx + vy * vy);
  if (speed > STILL) {
    roll(s, i, speed, p);
    return;
  }
  stop(s, i, p);
}

function roll(s: BallsState, i: number, speed: number, p: MotionParameters): void {
  const a = p.rollingFriction * p.gravity;
  s.ax[i] = (-a * s.vx[i]!) / speed;
  s.ay[i] = (-a * s.vy[i]!) / speed;
  s.wx[i] = -s.vy[i]! / s.radius[i]!;
  s.wy[i] = s.vx[i]! / s.radius[i]!;
  s.phase[i] = Phase.Rolling;
  s.phaseEnd[i] = s.t0[i]! + speed / a;
}

function stop(s: BallsState, i: number, p: MotionParameters): void {
  s.vx[i] = 0;
  s.vy[i] = 0;
  s.ax[i] = 0;
  s.ay[i] = 0;
  s.wx[i] = 0;
  s.wy[i] = 0;
  const spin = Math.abs(s.wz[i]!);
  if (spin > NO_SPIN) {
    s.phase[i] = Phase.Spinning;
    s.phaseEnd[i] = s.t0[i]! + spin / p.spinDeceleration;
  } else {
    s.wz[i] = 0;
    s.phase[i] = Phase.Rest;
    s.phaseEnd[i] = Infinity;
  }
}

/** Takes ball i into the phase that follows when the present one ends; call it at that time, already advanced. */
export function endPhase(s: BallsState, i: number, p: MotionParameters): void {
  const phase = s.phase[i];
  if (phase === Phase.Sliding) {
    s.bx[i] = 0;
    s.by[i] = 0;
    const speed = Math.sqrt(s.vx[i]! * s.vx[i]! + s.vy[i]! * s.vy[i]!);
    if (speed > STILL) roll(s, i, speed, p);
    else stop(s, i, p);
  } else if (phase === Phase.Rolling) {
    stop(s, i, p);
  } else {
    s.wz[i] = 0;
    stop(s, i, p);
  }
}
