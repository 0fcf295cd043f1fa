import type { Point } from '../math/point.ts';
import type { Drill } from '../records/drill.ts';
import { clothLinesOf } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

/** How a cue ball in hand is placed before a shot: at the start as the drill says, after a repair anywhere. @param shots played so far */
export function inHandAfter({ cueBall }: Pick<Drill, 'cueBall'>, shots: number): Drill['cueBall'] {
  return shots === 0 || cueBall.start === 'in hand behind the line'
    ? cueBall
    : { start: 'in hand', area: null };
}

/** Places along each way that are looked at. */
const ACROSS = 7;
/** A ball on the line itself would be on neither side of it. */
const INSIDE = 0.98;

const spread = (low: number, high: number) =>
  Array.from({ length: ACROSS }, (_, k) => low + ((high - low) * k) / (ACROSS - 1));

/**
 * Places for a cue ball in hand, evenly spread over where it may lie, metres; undefined where it may lie anywhere. Behind
 * the line is the half circle where the table has one.
 */
export function placesInHand(
  preset: TablePreset,
  { start, area }: Drill['cueBall'],
): readonly Point[] | undefined {
  const { length, width, cueBallRadius: radius } = preset;
  const within = (size: number, low: number, high: number) =>
    spread(Math.max(radius, low * size), Math.min(size - radius, high * size));
  if (start === 'in the area' && area !== null) {
    const { from, to } = area;
    const ys = within(width, from.across, to.across);
    return within(length, from.along, to.along).flatMap((x) => ys.map((y) => ({ x, y })));
  }
  if (start !== 'in hand behind the line') return undefined;
  const { acrossAt, dRadius } = clothLinesOf(preset);
  if (dRadius === undefined) {
    const ys = spread(radius, width - radius);
    return spread(radius, acrossAt * INSIDE).flatMap((x) => ys.map((y) => ({ x, y })));
  }
  return spread(-INSIDE, INSIDE).flatMap((across) =>
    spread(0, INSIDE * Math.sqrt(1 - across * across)).map((back) => ({
      x: acrossAt - back * dRadius,
      y: width / 2 + across * dRadius,
    })),
  );
}
