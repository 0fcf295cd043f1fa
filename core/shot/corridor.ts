import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';

/** The ball that lies nearest to a way. */
export interface Gap {
  readonly id: string;
  /** Metres between the two balls as one passes the other; negative where they would meet. */
  readonly metres: number;
}

/** The point of a straight stretch that is nearest to a place, as a share of the stretch, 0…1. */
function nearestShare(from: Point, to: Point, place: Point): number {
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const lengthSq = dx * dx + dy * dy;
  if (lengthSq === 0) return 0;
  return Math.min(1, Math.max(0, ((place.x - from.x) * dx + (place.y - from.y) * dy) / lengthSq));
}

/**
 * The narrowest gap that a ball finds on a straight way between other balls.
 * @param from, to centres of the moving ball at both ends, metres
 * @param radius of the moving ball, metres
 * @param balls those that could be in the way; the moving ball and the one it is meant to meet are left out
 * @returns undefined when there are no other balls
 */
export function narrowestGap(
  from: Point,
  to: Point,
  radius: number,
  balls: readonly BallOnTable[],
): Gap | undefined {
  let narrowest: Gap | undefined;
  for (const ball of balls) {
    const t = nearestShare(from, to, ball);
    const away = Math.hypot(from.x + t * (to.x - from.x) - ball.x, from.y + t * (to.y - from.y) - ball.y);
    const metres = away - radius - ball.radius;
    if (narrowest === undefined || metres < narrowest.metres) narrowest = { id: ball.id, metres };
  }
  return narrowest;
}

/** Balls that are nearer by less than this touch, metres: places in floating point are not more exact than that. */
const TOUCHING = 1e-6;

/**
 * Whether a ball passes all others on a straight way; arguments as for `narrowestGap`. One that it touches and goes away
 * from, or along, is not in its way.
 */
export function isClear(from: Point, to: Point, radius: number, balls: readonly BallOnTable[]): boolean {
  for (const ball of balls) {
    const t = nearestShare(from, to, ball);
    const dx = from.x + t * (to.x - from.x) - ball.x;
    const dy = from.y + t * (to.y - from.y) - ball.y;
    const reach = radius + ball.radius - TOUCHING;
    if (dx * dx + dy * dy < reach * reach) return false;
  }
  return true;
}
