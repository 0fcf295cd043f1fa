/** A place on the cloth, in metres: x from the head cushion's nose, y from the right-hand cushion's nose. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y);
}

/** How long the way from point to point is. */
export function pathLength(points: readonly Point[]): number {
  return points.slice(1).reduce((sum, point, i) => sum + distance(points[i] ?? point, point), 0);
}

/** The direction from one place to another, radians counter-clockwise from +x. */
export function bearing(from: Point, to: Point): number {
  return Math.atan2(to.y - from.y, to.x - from.x);
}
