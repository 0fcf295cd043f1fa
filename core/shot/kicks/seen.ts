import { bearing, distance } from '../../math/point.ts';
import { wrapAngle } from '../../math/angle.ts';
import type { KickPosition } from './way.ts';

/** Lines of sight over a ball's whole width. */
const RAYS = 2_000;

/** How well a ball can be seen and hit straight. */
export interface Seen {
  /** Share of its width that can be seen from the cue ball's middle, 0…1. */
  readonly seen: number;
  /** Share of the directions in which a straight cue ball would meet it, were it alone, that no other ball is in the way of. */
  readonly usable: number;
}

/** How far a point gets in a direction before it comes as near to a place as that; undefined where it never does. */
function reach(
  from: { readonly x: number; readonly y: number },
  direction: number,
  to: { readonly x: number; readonly y: number },
  near: number,
): number | undefined {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const along = dx * Math.cos(direction) + dy * Math.sin(direction);
  const aside = dy * Math.cos(direction) - dx * Math.sin(direction);
  const inside = near * near - aside * aside;
  return along <= 0 || inside < 0 ? undefined : along - Math.sqrt(inside);
}

/** How much of a ball is hidden by others, by straight lines. @throws RangeError without the ball */
export function seenOf({ balls, cue }: KickPosition, target: string): Seen {
  const from = balls.find(({ id }) => id === cue);
  const ball = balls.find(({ id }) => id === target);
  if (from === undefined || ball === undefined) throw new RangeError(`seenOf: there is no ball ${target}`);
  const others = balls.filter((each) => each !== from && each !== ball);
  /** The share of directions to a disc of this size round the ball in which nothing of a size is met before it. */
  const share = (own: number) => {
    const half = Math.asin(Math.min(1, (ball.radius + own) / distance(from, ball)));
    let free = 0;
    for (let k = 0; k < RAYS; k++) {
      const direction = wrapAngle(bearing(from, ball) + half * ((2 * k + 1) / RAYS - 1));
      const there = reach(from, direction, ball, ball.radius + own) ?? Infinity;
      const blocked = others.some(
        (other) => (reach(from, direction, other, other.radius + own) ?? Infinity) < there,
      );
      if (!blocked) free++;
    }
    return free / RAYS;
  };
  return { seen: share(0), usable: share(from.radius) };
}
