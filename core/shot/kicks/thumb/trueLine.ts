import type { BallOnTable } from '../../../motion/shot.ts';
import type { Point } from '../../../math/point.ts';
import { toRadians } from '../../../math/angle.ts';
import type { Table } from '../../../table/table.ts';
import type { KickStroke } from '../way.ts';
import { passingOf } from './passing.ts';

/** The line is looked for so far to both sides of the one that is thought of, in such steps, and then by halving. */
const REACH = toRadians(18);
const STEP = toRadians(0.6);
const HALVINGS = 18;
/** Between two steps a ball passes a place by no more than this on both sides, metres: more is another way. */
const SAME_WAY = 0.6;
/** A line found leads so near to the place, metres; where two ways part the miss leaps over nothing instead. */
const NEAR_ENOUGH = 0.004;

/**
 * The direction in which a stroke really leads by these cushions over a place, next to the one that is thought of.
 * @param near radians @returns undefined where there is none near it
 */
export function trueLine(
  table: Table,
  from: BallOnTable,
  stroke: KickStroke,
  near: number,
  cushions: readonly string[],
  place: Point,
): number | undefined {
  const missAt = (direction: number) => passingOf(table, from, stroke, direction, cushions, place)?.miss;
  const count = Math.round(REACH / STEP);
  const steps = Array.from({ length: 2 * count + 1 }, (_, i) => near + (i - count) * STEP);
  const misses = steps.map(missAt);
  let best: number | undefined;
  for (let i = 0; i + 1 < steps.length; i++) {
    const [a, b] = [misses[i], misses[i + 1]];
    if (a === undefined || b === undefined || a < 0 === b < 0 || Math.abs(a - b) > SAME_WAY) continue;
    if (best !== undefined && Math.abs(steps[i]! - near) > Math.abs(best - near)) continue;
    const found = between(missAt, steps[i]!, steps[i + 1]!, a < 0);
    if (Math.abs(missAt(found) ?? Infinity) < NEAR_ENOUGH) best = found;
  }
  return best;
}

function between(
  missAt: (direction: number) => number | undefined,
  low: number,
  high: number,
  lowIsShort: boolean,
): number {
  let [a, b] = [low, high];
  for (let k = 0; k < HALVINGS; k++) {
    const middle = 0.5 * (a + b);
    const miss = missAt(middle);
    if (miss === undefined) return middle;
    if (miss < 0 === lowIsShort) a = middle;
    else b = middle;
  }
  return 0.5 * (a + b);
}
