import { exponential } from '../math/elementary.ts';
import type { MotionParameters } from '../table/parameters.ts';
import { settleOnBed } from './cloth.ts';
import type { BallsState } from './state.ts';

/**
 * How far apart in plan the centres of two touching balls stand that lie on the cloth: 2·√(R1·R2), metres.
 * Balls of unequal size touch on a tilted line of centres.
 */
export function contactDistance(radius1: number, radius2: number): number {
  return 2 * Math.sqrt(radius1 * radius2);
}

/** Friction between two balls that slip at s m/s: μ(s) = a + b·exp(−c·s). */
export function ballFrictionAt(slip: number, p: MotionParameters): number {
  return p.ballFriction.a + p.ballFriction.b * exponential(-p.ballFriction.c * slip);
}

/**
 * Collides balls i and j of a state in place, where they are: restitution along the line of centres, friction
 * across it, at most what stops the slip (2/7·m_eff·s for solid spheres). The impulse acts along the real, tilted
 * line; what it does to the vertical is then settled with the bed.
 * @returns false when the balls were not closing, and nothing was changed
 */
export function collideBalls(s: BallsState, i: number, j: number, p: MotionParameters): boolean {
  const dx = s.x[j]! - s.x[i]!;
  const dy = s.y[j]! - s.y[i]!;
  const dz = s.z[j]! - s.z[i]!;
  const apart = Math.sqrt(dx * dx + dy * dy + dz * dz);
  const nx = dx / apart;
  const ny = dy / apart;
  const nz = dz / apart;
  const ux = s.vx[i]! - s.vx[j]!;
  const uy = s.vy[i]! - s.vy[j]!;
  const uz = s.vz[i]! - s.vz[j]!;
  const closing = ux * nx + uy * ny + uz * nz;
  if (closing <= 0) return false;
  const ri = s.radius[i]!;
  const rj = s.radius[j]!;
  // Velocity of the touching surfaces against each other: ω × R·n on the first ball, ω × −R·n on the second.
  const wx = ri * s.wx[i]! + rj * s.wx[j]!;
  const wy = ri * s.wy[i]! + rj * s.wy[j]!;
  const wz = ri * s.wz[i]! + rj * s.wz[j]!;
  const tx = ux - closing * nx + wy * nz - wz * ny;
  const ty = uy - closing * ny + wz * nx - wx * nz;
  const tz = uz - closing * nz + wx * ny - wy * nx;
  const slip = Math.sqrt(tx * tx + ty * ty + tz * tz);
  const effective = 1 / (1 / s.mass[i]! + 1 / s.mass[j]!);
  const normal = (1 + p.ballRestitution) * closing * effective;
  const rub =
    slip < 1e-12 ? 0 : Math.min(ballFrictionAt(slip, p) * normal, (2 / 7) * slip * effective) / slip;
  const fx = -rub * tx;
  const fy = -rub * ty;
  const fz = -rub * tz;
  push(s, i, fx - normal * nx, fy - normal * ny, fz - normal * nz);
  push(s, j, normal * nx - fx, normal * ny - fy, normal * nz - fz);
  // Both balls turn the same way: the arm and the impulse change sign together.
  const qx = ny * fz - nz * fy;
  const qy = nz * fx - nx * fz;
  const qz = nx * fy - ny * fx;
  turn(s, i, qx, qy, qz);
  turn(s, j, qx, qy, qz);
  settleOnBed(s, i, p);
  settleOnBed(s, j, p);
  return true;
}

function push(s: BallsState, i: number, jx: number, jy: number, jz: number): void {
  const m = s.mass[i]!;
  s.vx[i] = s.vx[i]! + jx / m;
  s.vy[i] = s.vy[i]! + jy / m;
  s.vz[i] = s.vz[i]! + jz / m;
}

/** @param qx, qy, qz unit arm × impulse, N·s */
function turn(s: BallsState, i: number, qx: number, qy: number, qz: number): void {
  const perInertia = 2.5 / (s.mass[i]! * s.radius[i]!);
  s.wx[i] = s.wx[i]! + perInertia * qx;
  s.wy[i] = s.wy[i]! + perInertia * qy;
  s.wz[i] = s.wz[i]! + perInertia * qz;
}
