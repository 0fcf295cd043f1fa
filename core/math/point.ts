/** A place on the cloth, in metres: x from the head cushion's nose, y from the right-hand cushion's nose. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y);
}

/** The direction from one place to another, radians counter-clockwise from +x. */
export function bearing(from: Point, to: Point): number {
  return Math.atan2(to.y - from.y, to.x - from.x);
}

/** The distance of a place from the straight way between two others, metres. */
export function distanceToSegment(place: Point, from: Point, to: Point): number {
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const lengthSq = dx * dx + dy * dy;
  const along = lengthSq === 0 ? 0 : ((place.x - from.x) * dx + (place.y - from.y) * dy) / lengthSq;
  const t = Math.min(1, Math.max(0, along));
  return Math.hypot(place.x - from.x - t * dx, place.y - from.y - t * dy);
}
