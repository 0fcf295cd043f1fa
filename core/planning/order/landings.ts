import type { Point } from '../../math/point.ts';
import type { ExecutionError } from '../../player/levels.ts';

/** Executions of a stroke: errors of pace and of the tip's height, in standard deviations, of equal weight. */
export type Spread = readonly { readonly pace: number; readonly height: number }[];

/** Rules of points with mean nought and variance one: the stroke as planned, and errors around it. */
const OUT = Math.sqrt(5 / 4);
export const FIVE: Spread = [
  { pace: 0, height: 0 },
  { pace: OUT, height: OUT },
  { pace: -OUT, height: -OUT },
  { pace: OUT, height: -OUT },
  { pace: -OUT, height: OUT },
];
const FAR = Math.sqrt(3 / 2);
export const THREE: Spread = [
  { pace: 0, height: 0 },
  { pace: FAR, height: FAR },
  { pace: -FAR, height: -FAR },
];

/** Strokes at one pot that were tried, and where each left the cue ball; undefined for one that does not pot, or loses it. */
type Tried = readonly (readonly ({ readonly landing: Point | undefined } | undefined)[])[];

/**
 * Where executions of a stroke leave the cue ball: what the strokes beside it, of other paces and heights, did tells how the
 * landing moves with an error of either, so that none needs to be played.
 * @param speeds of the rows of what was tried, m/s, rising @param heights of its columns, ball radii, rising
 * @param error standard deviations of pace (share) and of the tip (ball radii), ≥ 0
 * @param tried strokes as planned @param i row and @param j column of the stroke
 */
export function landingsAround(
  {
    speeds,
    heights,
    spread,
  }: { readonly speeds: readonly number[]; readonly heights: readonly number[]; readonly spread: Spread },
  error: Pick<ExecutionError, 'speed' | 'tip'>,
  tried: Tried,
  i: number,
  j: number,
): readonly (Point | undefined)[] {
  const own = tried[i]?.[j]?.landing;
  if (own === undefined) return spread.map(() => undefined);
  const pace = (row: number) => Math.log(speeds[row] ?? NaN);
  const byPace = moves(own, (k) => ({ at: pace(i + k) - pace(i), landing: tried[i + k]?.[j]?.landing }));
  const byHeight = moves(own, (k) => ({
    at: (heights[j + k] ?? NaN) - heights[j]!,
    landing: tried[i]?.[j + k]?.landing,
  }));
  return spread.map((out) => {
    const a = byPace(Math.log(Math.max(0.1, 1 + out.pace * error.speed)));
    const b = byHeight(out.height * error.tip);
    return { x: own.x + a.x + b.x, y: own.y + a.y + b.y };
  });
}

interface Beside {
  /** How far the error is between the two strokes. */
  readonly at: number;
  readonly landing: Point | undefined;
}

const NOWHERE: Point = { x: 0, y: 0 };

/** How a landing moves with an error: as towards the stroke on its side, or, where there is none, away from the other. */
function moves(own: Point, beside: (k: 1 | -1) => Beside): (error: number) => Point {
  const slope = ({ at, landing }: Beside): Point | undefined =>
    landing && { x: (landing.x - own.x) / at, y: (landing.y - own.y) / at };
  const more = slope(beside(1));
  const less = slope(beside(-1));
  return (error) => {
    const { x, y } = (error > 0 ? (more ?? less) : (less ?? more)) ?? NOWHERE;
    return { x: x * error, y: y * error };
  };
}
