import type { Point } from '../math/point.ts';

/** From the cushion's nose to what stands in the way on that side, metres; null where there is room for any cue. */
export interface RoomLimits {
  readonly head: number | null;
  readonly foot: number | null;
  readonly right: number | null;
  readonly left: number | null;
}

/** A full-length cue and the backswing that a stroke needs, metres. */
export const CUE_REACH = 1.65;

/**
 * How much room there is behind a ball for the cue, metres in plan; Infinity where nothing stands in the way.
 * @param size length and width between the noses, metres
 * @param at the ball's centre; @param direction of the shot, radians: the cue lies the other way
 */
export function roomBehind(
  size: { readonly length: number; readonly width: number },
  limits: RoomLimits,
  at: Point,
  direction: number,
): number {
  const back = { x: -Math.cos(direction), y: -Math.sin(direction) };
  const until = (wall: number | null, gap: number, along: number) =>
    wall === null || along <= 0 ? Infinity : (gap + wall) / along;
  return Math.min(
    until(limits.head, at.x, -back.x),
    until(limits.foot, size.length - at.x, back.x),
    until(limits.right, at.y, -back.y),
    until(limits.left, size.width - at.y, back.y),
  );
}
