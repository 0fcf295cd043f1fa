import type { MotionParameters } from '../table/parameters.ts';
import { Phase, type BallsState } from './state.ts';

/** Slip at the cloth below which a ball rolls, m/s: far under what a ball can show, far over rounding. */
const NO_SLIP = 1e-9;
/** Speed below which a ball lies still, m/s. */
const STILL = 1e-9;
/** Spin about the vertical below which a ball no longer turns, rad/s. */
const NO_SPIN = 1e-9;
/** Vertical speed below which a ball stays on the cloth, m/s: it would hop a twentieth of a millimetre. */
const LEAST_HOP = 0.03;

/** Brings ball i from its own clock to time t along its present phase. */
export function advance(s: BallsState, i: number, t: number, p: MotionParameters): void {
  const dt = t - s.t0[i]!;
  s.t0[i] = t;
  const phase = s.phase[i]!;
  if (dt === 0 || phase === Phase.Rest || phase >= Phase.Potted) return;
  s.x[i] = s.x[i]! + (s.vx[i]! + 0.5 * s.ax[i]! * dt) * dt;
  s.y[i] = s.y[i]! + (s.vy[i]! + 0.5 * s.ay[i]! * dt) * dt;
  s.vx[i] = s.vx[i]! + s.ax[i]! * dt;
  s.vy[i] = s.vy[i]! + s.ay[i]! * dt;
  if (phase === Phase.Flying) {
    s.z[i] = s.z[i]! + (s.vz[i]! - 0.5 * p.gravity * dt) * dt;
    s.vz[i] = s.vz[i]! - p.gravity * dt;
    return;
  }
  if (phase === Phase.Rolling) {
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
 * What an impulse leaves of ball i's vertical velocity: the bed gives back its share of a downward one, an upward
 * one lifts the ball; with a bed that gives nothing back, the cloth takes both.
 */
export function settleOnBed(s: BallsState, i: number, p: MotionParameters): void {
  if (s.phase[i] === Phase.Flying && s.z[i]! > s.radius[i]!) return;
  const vz = s.vz[i]!;
  const up = p.bedRestitution === 0 ? 0 : vz < 0 ? -p.bedRestitution * vz : vz;
  s.vz[i] = up > LEAST_HOP ? up : 0;
}

/**
 * Decides from velocity and spin what ball i does now, and for how long: flying while it moves up or is above the
 * cloth, sliding while the lowest point slips (constant friction against the slip, which falls at 7/2·μs·g), then
 * rolling at μr·g until it rests.
 */
export function enterPhase(s: BallsState, i: number, p: MotionParameters): void {
  const t = s.t0[i]!;
  const radius = s.radius[i]!;
  const vx = s.vx[i]!;
  const vy = s.vy[i]!;
  s.bx[i] = 0;
  s.by[i] = 0;
  const above = s.z[i]! - radius;
  if (s.vz[i] !== 0 || above > 0) {
    const vz = s.vz[i]!;
    s.ax[i] = 0;
    s.ay[i] = 0;
    s.phase[i] = Phase.Flying;
    s.phaseEnd[i] = t + (vz + Math.sqrt(vz * vz + 2 * p.gravity * Math.max(0, above))) / p.gravity;
    return;
  }
  const slipX = vx - radius * s.wy[i]!;
  const slipY = vy + radius * s.wx[i]!;
  const slip = Math.sqrt(slipX * slipX + slipY * slipY);
  if (slip > NO_SLIP) {
    const a = p.slidingFriction * p.gravity;
    const ax = (-a * slipX) / slip;
    const ay = (-a * slipY) / slip;
    s.ax[i] = ax;
    s.ay[i] = ay;
    s.bx[i] = (2.5 * ay) / radius;
    s.by[i] = (-2.5 * ax) / radius;
    s.phase[i] = Phase.Sliding;
    s.phaseEnd[i] = t + slip / (3.5 * a);
    return;
  }
  roll(s, i, p);
}

function roll(s: BallsState, i: number, p: MotionParameters): void {
  const vx = s.vx[i]!;
  const vy = s.vy[i]!;
  const speed = Math.sqrt(vx * vx + vy * vy);
  if (speed <= STILL) {
    stop(s, i, p);
    return;
  }
  const a = p.rollingFriction * p.gravity;
  s.ax[i] = (-a * vx) / speed;
  s.ay[i] = (-a * vy) / speed;
  s.wx[i] = -vy / s.radius[i]!;
  s.wy[i] = vx / s.radius[i]!;
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

/**
 * A flying ball comes down: the bed gives back its share of the fall and rubs against the slip at most until that
 * is gone (2/7·m·s for a solid sphere).
 */
function land(s: BallsState, i: number, p: MotionParameters): void {
  const radius = s.radius[i]!;
  const fall = Math.max(0, -s.vz[i]!);
  const slipX = s.vx[i]! - radius * s.wy[i]!;
  const slipY = s.vy[i]! + radius * s.wx[i]!;
  const slip = Math.sqrt(slipX * slipX + slipY * slipY);
  if (slip > NO_SLIP) {
    const change = Math.min(p.slidingFriction * (1 + p.bedRestitution) * fall, (2 / 7) * slip) / slip;
    s.vx[i] = s.vx[i]! - change * slipX;
    s.vy[i] = s.vy[i]! - change * slipY;
    s.wx[i] = s.wx[i]! - (2.5 * change * slipY) / radius;
    s.wy[i] = s.wy[i]! + (2.5 * change * slipX) / radius;
  }
  s.z[i] = radius;
  s.phase[i] = Phase.Sliding;
  settleOnBed(s, i, p);
  enterPhase(s, i, p);
}

/** Takes ball i into the phase that follows when the present one ends; call it at that time, already advanced. */
export function endPhase(s: BallsState, i: number, p: MotionParameters): void {
  const phase = s.phase[i];
  if (phase === Phase.Flying) {
    land(s, i, p);
  } else if (phase === Phase.Sliding) {
    s.bx[i] = 0;
    s.by[i] = 0;
    roll(s, i, p);
  } else if (phase === Phase.Rolling) {
    stop(s, i, p);
  } else {
    s.wz[i] = 0;
    stop(s, i, p);
  }
}
