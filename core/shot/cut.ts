import { toDegrees, wrapAngle } from '../math/angle.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';

export type Thickness = 'full' | 'three-quarter' | 'half' | 'quarter' | 'thin';

export interface Cut {
  /** Degrees between the cue ball's way and the object ball's; positive when the object ball goes off to the left. */
  readonly degrees: number;
  readonly thickness: Thickness;
}

/** Share of the object ball that the cue ball covers, seen along its way: 1 − sin(cut). */
function thicknessOf(degrees: number): Thickness {
  const covered = 1 - Math.sin(Math.abs(degrees) * (Math.PI / 180));
  if (covered > 0.875) return 'full';
  if (covered > 0.625) return 'three-quarter';
  if (covered > 0.375) return 'half';
  if (covered > 0.125) return 'quarter';
  return 'thin';
}

/** Where the cue ball's centre is when it meets the object ball on the line to the pocket, metres. */
export function contactPlace(object: Point, target: Point, radiusCue: number, radiusObject: number): Point {
  const reach = contactDistance(radiusCue, radiusObject);
  const away = distance(object, target);
  return {
    x: object.x - ((target.x - object.x) / away) * reach,
    y: object.y - ((target.y - object.y) / away) * reach,
  };
}

/**
 * Where the cue ball's centre is when it sends a ball off in a direction, without throw, metres.
 * @param towards the object ball's direction, radians
 */
export function contactFor(object: Point, towards: number, radiusCue: number, radiusObject: number): Point {
  const reach = contactDistance(radiusCue, radiusObject);
  return { x: object.x - reach * Math.cos(towards), y: object.y - reach * Math.sin(towards) };
}

/**
 * The cut with which a ball must be hit to go to a target, by geometry alone (no throw).
 * @param cue, object, target centres of the balls and the place aimed at, metres
 */
export function cutTo(
  cue: Point,
  object: Point,
  target: Point,
  radiusCue: number,
  radiusObject: number,
): Cut {
  const contact = contactPlace(object, target, radiusCue, radiusObject);
  const degrees = toDegrees(wrapAngle(bearing(object, target) - bearing(cue, contact)));
  return { degrees, thickness: thicknessOf(degrees) };
}
