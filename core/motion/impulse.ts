/** Velocity in m/s and spin in rad/s of one ball; z points up. */
export interface Motion {
  vx: number;
  vy: number;
  vz: number;
  wx: number;
  wy: number;
  wz: number;
}

/** What one rigid contact of a sphere does: an impulse along n and one across it. */
export interface ContactImpulse {
  /** N·s on the first body along −n. */
  readonly normal: number;
  /** N·s on the first body, across n. */
  readonly tx: number;
  readonly ty: number;
  readonly tz: number;
}

export interface Contact {
  /** Unit vector from the first body's centre to the contact. */
  readonly nx: number;
  readonly ny: number;
  readonly nz: number;
  readonly restitution: number;
  /** Coulomb's coefficient as a function of the slip in m/s. */
  readonly friction: (slip: number) => number;
  /** 1/m1 + 1/m2 in 1/kg; 1/m against a fixed body. */
  readonly inverseMass: number;
}

/**
 * The impulse of a rigid contact of a solid sphere with restitution and Coulomb friction.
 *
 * The tangential impulse is at most what stops the slip: 2/7·m_eff·s for solid spheres, since a tangential
 * impulse changes the slip by (1 + 5/2)/m_eff.
 * @param closing closing speed along n, m/s, > 0
 * @param sx, sy, sz relative velocity of the touching points (first minus second), m/s
 */
export function contactImpulse(
  contact: Contact,
  closing: number,
  sx: number,
  sy: number,
  sz: number,
): ContactImpulse {
  const { nx, ny, nz, inverseMass } = contact;
  const normal = ((1 + contact.restitution) * closing) / inverseMass;
  const along = sx * nx + sy * ny + sz * nz;
  const tx = sx - along * nx;
  const ty = sy - along * ny;
  const tz = sz - along * nz;
  const slip = Math.sqrt(tx * tx + ty * ty + tz * tz);
  if (slip < 1e-12) return { normal, tx: 0, ty: 0, tz: 0 };
  const size = Math.min(contact.friction(slip) * normal, ((2 / 7) * slip) / inverseMass);
  const factor = -size / slip;
  return { normal, tx: factor * tx, ty: factor * ty, tz: factor * tz };
}

/**
 * Applies a contact impulse to one sphere.
 * @param sign 1 for the first body, −1 for the second, which receives the opposite impulse
 */
export function applyImpulse(
  motion: Motion,
  contact: Contact,
  impulse: ContactImpulse,
  mass: number,
  radius: number,
  sign: 1 | -1,
): void {
  const { nx, ny, nz } = contact;
  const jx = sign * (impulse.tx - impulse.normal * nx);
  const jy = sign * (impulse.ty - impulse.normal * ny);
  const jz = sign * (impulse.tz - impulse.normal * nz);
  motion.vx += jx / mass;
  motion.vy += jy / mass;
  motion.vz += jz / mass;
  // Both bodies turn the same way: the arm and the impulse change sign together.
  const perInertia = 2.5 / (mass * radius);
  motion.wx += perInertia * (ny * impulse.tz - nz * impulse.ty);
  motion.wy += perInertia * (nz * impulse.tx - nx * impulse.tz);
  motion.wz += perInertia * (nx * impulse.ty - ny * impulse.tx);
}
