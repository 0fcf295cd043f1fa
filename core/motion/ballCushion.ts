import type { MotionParameters } from '../table/parameters.ts';
import { applyImpulse, contactImpulse, type Contact, type Motion } from './impulse.ts';

/** How far in plan a ball's centre is from the nose when they touch: √(R² − (h − R)²), metres. */
export function noseDistance(radius: number, noseHeight: number): number {
  const above = noseHeight - radius;
  return Math.sqrt(radius * radius - above * above);
}

/**
 * Rebounds a ball from a cushion in place: one rigid impulse at the nose, which lies above the ball's centre,
 * with restitution and Coulomb friction, as in I. Han, "Dynamics in carom and three cushion billiards",
 * J. Mech. Sci. Technol. 19 (2005). The cloth takes the vertical velocity.
 * @param nx, ny unit vector from the ball to the nose in plan
 * @returns false when the ball was not closing, and nothing was changed
 */
export function reboundFromCushion(
  motion: Motion,
  mass: number,
  radius: number,
  nx: number,
  ny: number,
  p: MotionParameters,
): boolean {
  const sin = (p.noseHeight - radius) / radius;
  const cos = Math.sqrt(1 - sin * sin);
  const contact: Contact = {
    nx: nx * cos,
    ny: ny * cos,
    nz: sin,
    restitution: p.cushionRestitution,
    friction: () => p.cushionFriction,
    inverseMass: 1 / mass,
  };
  const closing = motion.vx * contact.nx + motion.vy * contact.ny;
  if (closing <= 0) return false;
  const wx = radius * motion.wx;
  const wy = radius * motion.wy;
  const wz = radius * motion.wz;
  const impulse = contactImpulse(
    contact,
    closing,
    motion.vx + wy * contact.nz - wz * contact.ny,
    motion.vy + wz * contact.nx - wx * contact.nz,
    wx * contact.ny - wy * contact.nx,
  );
  applyImpulse(motion, contact, impulse, mass, radius, 1);
  motion.vz = 0;
  return true;
}
