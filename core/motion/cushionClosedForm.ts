import type { MotionParameters } from '../table/parameters.ts';

/** Velocity in m/s and spin in rad/s of one ball; z points up. */
export interface Motion {
  vx: number;
  vy: number;
  vz: number;
  wx: number;
  wy: number;
  wz: number;
}

/**
 * Rebounds a ball from a fixed edge in place by one rigid impulse with restitution and Coulomb friction, at most
 * what stops the slip, as in I. Han, "Dynamics in carom and three cushion billiards", J. Mech. Sci. Technol. 19
 * (2005). It knows nothing of the cloth: it serves balls in flight, and as the cross-check of the full rebound.
 * @param nx, ny unit vector in plan from the ball to the edge
 * @param rise sine of the angle of the edge above the ball's centre, −1…1
 * @returns false when the ball was not closing, and nothing was changed
 */
export function reboundClosedForm(
  motion: Motion,
  radius: number,
  nx: number,
  ny: number,
  rise: number,
  p: MotionParameters,
): boolean {
  const flat = Math.sqrt(1 - rise * rise);
  const ex = nx * flat;
  const ey = ny * flat;
  const closing = motion.vx * ex + motion.vy * ey + motion.vz * rise;
  if (closing <= 0) return false;
  const tx = motion.vx - closing * ex + radius * (motion.wy * rise - motion.wz * ey);
  const ty = motion.vy - closing * ey + radius * (motion.wz * ex - motion.wx * rise);
  const tz = motion.vz - closing * rise + radius * (motion.wx * ey - motion.wy * ex);
  const slip = Math.sqrt(tx * tx + ty * ty + tz * tz);
  // Impulses per mass.
  const normal = (1 + p.cushionRestitution) * closing;
  const rub = slip < 1e-12 ? 0 : Math.min(p.cushionFriction * normal, (2 / 7) * slip) / slip;
  motion.vx -= normal * ex + rub * tx;
  motion.vy -= normal * ey + rub * ty;
  motion.vz -= normal * rise + rub * tz;
  const arm = (2.5 * rub) / radius;
  motion.wx -= arm * (ey * tz - rise * ty);
  motion.wy -= arm * (rise * tx - ex * tz);
  motion.wz -= arm * (ex * ty - ey * tx);
  return true;
}
