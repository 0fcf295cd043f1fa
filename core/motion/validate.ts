import { contactDistance } from './ballBall.ts';
import type { Shot } from './shot.ts';
import { MISCUE_OFFSET } from './strike.ts';

/** Balls may be placed this much into each other, metres: rounding of a written position, not an overlap. */
const PLACING_SLACK = 1e-6;

/** A shot that cannot be played; the message names the ball or the field and the reason. */
export class InvalidShotError extends Error {
  override name = 'InvalidShotError';
}

function requireFinite(name: string, value: number): void {
  if (!Number.isFinite(value)) throw new InvalidShotError(`${name} must be a number`);
}

/**
 * Refuses a shot that cannot be played: not a number, balls outside the cushions or in each other, a tip past
 * the miscue limit, an unknown ball.
 * @throws InvalidShotError
 */
export function checkShot(shot: Shot): void {
  const { table, balls, strike } = shot;
  const bounded = table.pieces.length > 0;
  for (const [index, ball] of balls.entries()) {
    for (const field of ['x', 'y', 'radius', 'mass'] as const) {
      requireFinite(`ball ${ball.id}: ${field}`, ball[field]);
    }
    if (ball.radius <= 0 || ball.mass <= 0) {
      throw new InvalidShotError(`ball ${ball.id}: radius and mass must be above zero`);
    }
    const inset = ball.radius - 2e-3;
    if (
      bounded &&
      (ball.x < inset || ball.x > table.length - inset || ball.y < inset || ball.y > table.width - inset)
    ) {
      throw new InvalidShotError(`ball ${ball.id}: lies outside the cushions`);
    }
    for (const other of balls.slice(0, index)) {
      if (other.id === ball.id) throw new InvalidShotError(`ball ${ball.id}: two balls have this name`);
      const gap = Math.hypot(other.x - ball.x, other.y - ball.y) - contactDistance(other.radius, ball.radius);
      if (gap < -PLACING_SLACK) throw new InvalidShotError(`ball ${ball.id}: overlaps ball ${other.id}`);
    }
  }
  if (!balls.some((ball) => ball.id === strike.ball)) {
    throw new InvalidShotError(`strike.ball: there is no ball ${strike.ball}`);
  }
  requireFinite('strike.speed', strike.speed);
  requireFinite('strike.direction', strike.direction);
  requireFinite('strike.tip.side', strike.tip.side);
  requireFinite('strike.tip.height', strike.tip.height);
  requireFinite('strike.elevation', strike.elevation);
  if (strike.speed <= 0) throw new InvalidShotError('strike.speed: must be above zero');
  if (strike.elevation < 0 || strike.elevation > Math.PI / 2) {
    throw new InvalidShotError('strike.elevation: must lie between level and upright');
  }
  if (Math.hypot(strike.tip.side, strike.tip.height) > MISCUE_OFFSET + 1e-12) {
    throw new InvalidShotError(`strike.tip: farther than ${MISCUE_OFFSET} radii from the middle is a miscue`);
  }
}
