import { distance, type Point } from '../../core/math/point.ts';

/** A tap is a ball's within so many of its radii. */
const REACH = 2.4;

/** The ball that was tapped: the nearest one, if it is near enough. @param radius metres */
export function nearestBall(
  ids: readonly string[],
  places: ReadonlyMap<string, Point | null>,
  tap: Point,
  radius: number,
): string | undefined {
  const near = ids.flatMap((id) => {
    const at = places.get(id);
    return at === undefined || at === null ? [] : [{ id, away: distance(at, tap) }];
  });
  const [first] = near.sort((a, b) => a.away - b.away);
  return first !== undefined && first.away < REACH * radius ? first.id : undefined;
}
