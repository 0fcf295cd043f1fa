import type { Point } from '../math/point.ts';
import { mean } from './summary.ts';

/** Where some places lie: their middle and the ellipse that holds a share of such places. */
export interface ScatterEllipse {
  readonly centre: Point;
  /** Half axes, the longer one first. */
  readonly long: number;
  readonly short: number;
  /** Of the longer axis, radians from x, −π/2…π/2. */
  readonly angle: number;
}

/**
 * The ellipse of a normal distribution fitted to some places (covariance with n − 1), that holds the share: its half axes
 * are √(−2 ln(1 − share)) standard deviations along the main directions.
 * @param share 0…1, both excluded
 * @throws RangeError for fewer than three places, or another share
 */
export function scatterEllipse(places: readonly Point[], share: number): ScatterEllipse {
  if (places.length < 3) throw new RangeError('scatterEllipse: needs at least three places');
  if (!(share > 0 && share < 1)) throw new RangeError('scatterEllipse: the share must lie between 0 and 1');
  const centre = { x: mean(places.map(({ x }) => x)), y: mean(places.map(({ y }) => y)) };
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of places) {
    xx += (x - centre.x) ** 2 / (places.length - 1);
    xy += ((x - centre.x) * (y - centre.y)) / (places.length - 1);
    yy += (y - centre.y) ** 2 / (places.length - 1);
  }
  const middle = (xx + yy) / 2;
  const half = Math.hypot((xx - yy) / 2, xy);
  const factor = Math.sqrt(-2 * Math.log(1 - share));
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
  return {
    centre,
    long: factor * Math.sqrt(middle + half),
    short: factor * Math.sqrt(Math.max(0, middle - half)),
    angle,
  };
}
