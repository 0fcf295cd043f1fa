import type { MotionParameters } from '../table/parameters.ts';
import { applyImpulse, contactImpulse, type Contact, type Motion } from './impulse.ts';

/** One of two balls at the moment they touch. */
export interface CollidingBall {
  readonly motion: Motion;
  readonly mass: number;
  readonly radius: number;
}

/**
 * How far apart in plan the centres of two touching balls stand that lie on the cloth: 2·√(R1·R2), metres.
 * Balls of unequal size touch on a tilted line of centres.
 */
export function contactDistance(radius1: number, radius2: number): number {
  return 2 * Math.sqrt(radius1 * radius2);
}

/**
 * Collides two balls in place: restitution along the line of centres, friction across it that falls with the
 * slip, μ(s) = a + b·exp(−c·s). The cloth takes the vertical velocities.
 * @param dx, dy from the first ball's centre to the second's in plan, metres; only the direction counts
 * @returns false when the balls were not closing, and nothing was changed
 */
export function collideBalls(
  first: CollidingBall,
  second: CollidingBall,
  dx: number,
  dy: number,
  p: MotionParameters,
): boolean {
  const rise = second.radius - first.radius;
  const flat = contactDistance(first.radius, second.radius);
  const span = Math.sqrt(flat * flat + rise * rise);
  const plan = Math.sqrt(dx * dx + dy * dy);
  const nx = (dx / plan) * (flat / span);
  const ny = (dy / plan) * (flat / span);
  const nz = rise / span;
  const a = first.motion;
  const b = second.motion;
  const closing = (a.vx - b.vx) * nx + (a.vy - b.vy) * ny;
  if (closing <= 0) return false;
  const { a: base, b: extra, c: decay } = p.ballFriction;
  const contact: Contact = {
    nx,
    ny,
    nz,
    restitution: p.ballRestitution,
    friction: (slip) => base + extra * Math.exp(-decay * slip),
    inverseMass: 1 / first.mass + 1 / second.mass,
  };
  // Spin of each surface at the contact: ω × R·n on the first ball, ω × −R·n on the second.
  const wx = first.radius * a.wx + second.radius * b.wx;
  const wy = first.radius * a.wy + second.radius * b.wy;
  const wz = first.radius * a.wz + second.radius * b.wz;
  const impulse = contactImpulse(
    contact,
    closing,
    a.vx - b.vx + wy * nz - wz * ny,
    a.vy - b.vy + wz * nx - wx * nz,
    wx * ny - wy * nx,
  );
  applyImpulse(a, contact, impulse, first.mass, first.radius, 1);
  applyImpulse(b, contact, impulse, second.mass, second.radius, -1);
  a.vz = 0;
  b.vz = 0;
  return true;
}
