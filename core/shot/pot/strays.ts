import { toRadians } from '../../math/angle.ts';
import { normalCdf } from '../../math/normal.ts';
import { borderOf, rootBetween } from '../../math/roots.ts';
import type { ExecutionError } from '../../player/levels.ts';
import type { Table } from '../../table/table.ts';
import { impact, margin, type Bound } from './bounds.ts';
import { HALF_NORMAL, ROOT_3, STEP, WIDER } from './constants.ts';

/** Edges are not followed farther than this, radians. */
const FARTHEST = 1.5;
/** Steps in which it is found how far an edge moves, and to which share of the line's error. */
const MOST_STEPS = 4;
const NEAR_ENOUGH = 0.3;
/** How much an edge may move less to one side than to the other to count as moving evenly, as a share. */
const EVEN = 0.2;

/** Where a bound is broken in the planned stroke, and how the margin grows from there towards the aim, a radian. */
const edge = { off: 0, outwards: 1, slope: 1, bound: 'low' as Bound };

/**
 * How much farther out the bound is broken with the stroke as it is now, radians: by its slope, and where that is far, by
 * false position.
 */
function movedOut(table: Table, near: number): number {
  const { off, outwards, slope, bound } = edge;
  let out = 0;
  let value = margin(table, off, bound);
  if (Math.abs(value) >= Math.PI) return movedFar(table, near, value > 0 ? 1 : -1);
  let next = Math.max(-FARTHEST, Math.min(FARTHEST, value / slope));
  for (let k = 0; k < MOST_STEPS && Math.abs(next - out) > near; k++) {
    const then = margin(table, off + outwards * next, bound);
    if (Math.abs(then) >= Math.PI) return movedFar(table, near, value > 0 ? 1 : -1);
    const steeper = (value - then) / (next - out);
    out = next;
    value = then;
    if (!(steeper > 0)) break;
    next = Math.max(-FARTHEST, Math.min(FARTHEST, out + then / steeper));
  }
  return next;
}

/** The same where the stroke passes the ball, which says nothing about how far: by halving. @param way 1 out, −1 in */
function movedFar(table: Table, near: number, way: 1 | -1): number {
  const { off, outwards, bound } = edge;
  let here = 0;
  for (let step = 4 * near; step < FARTHEST; step *= 2) {
    const there = here + way * step;
    if (margin(table, off + outwards * there, bound) > 0 !== way > 0) {
      return borderOf((out) => margin(table, off + outwards * out, bound) > 0 === way > 0, here, there, near);
    }
    here = there;
  }
  return way * FARTHEST;
}

/** What errors of pace, height and butt do to an edge: mean and variance of the way that it moves out, radians. */
const shift = { mean: 0, variance: 0 };

/** Adds what an error does, from √3 standard deviations of it to either side (Gauss and Hermite's rule of three points). */
function addShift(most: number, up: number, down: number): void {
  const plus = Math.max(-most, Math.min(most, up));
  const minus = Math.max(-most, Math.min(most, down));
  const mean = (plus + minus) / 6;
  shift.mean += mean;
  shift.variance += (plus * plus + minus * minus) / 6 - mean * mean;
}

/** Standard deviations of the tip's side at which edges are looked for; in between they move linearly. */
const SIDE_NODES = [-3, -2, -1, 0, 1, 2, 3];

/** Steps of the integral over the side from each node to the next. */
const PER_NODE = 4;

const SIDE_STEPS = (SIDE_NODES.length - 1) * PER_NODE;

/** Shares of a standard normal error at those steps. */
const SIDE_SHARES = sharesOf(SIDE_STEPS);

const outAt = new Float64Array(SIDE_NODES.length);

function sharesOf(steps: number): Float64Array {
  const first = SIDE_NODES[0] ?? 0;
  const step = (-2 * first) / steps;
  const shares = Float64Array.from({ length: steps + 1 }, (_, k) => Math.exp(-0.5 * (first + k * step) ** 2));
  const sum = shares.reduce((a, b) => a + b, 0);
  return shares.map((share) => share / sum);
}

/**
 * How far the edge moves out at each node of the tip's side.
 * @returns the way for a standard deviation where it moves evenly, which then says all; undefined where it does not
 */
function moveOutBySide(table: Table, error: ExecutionError, near: number): number | undefined {
  const { side } = impact;
  const at = (node: number) => {
    impact.side = side + error.tip * node;
    const out = movedOut(table, near);
    impact.side = side;
    return out;
  };
  const [right, left] = [at(-1), at(1)];
  if (Math.abs(right + left) < EVEN * Math.max(near, Math.abs(right - left))) return 0.5 * (right - left);
  for (let k = 0; k < SIDE_NODES.length; k++) {
    const node = SIDE_NODES[k]!;
    outAt[k] = node === 0 ? 0 : node === -1 ? right : node === 1 ? left : at(node);
  }
  return undefined;
}

/** How far to one side executions may stray, and what they break there; undefined where they pass the ball. */
export interface Edge {
  readonly off: number;
  readonly bound: Bound | undefined;
}

/** Share of the executions that stray beyond where a bound is broken. */
export function straysBeyond(
  table: Table,
  error: ExecutionError,
  aimed: number,
  { off, bound }: Edge,
): number {
  const line = toRadians(error.directionDeg);
  const away = Math.abs(off - aimed);
  if (bound === undefined) return normalCdf(-away / line);
  edge.off = off;
  edge.outwards = off < aimed ? -1 : 1;
  edge.bound = bound;
  const here = margin(table, off, bound);
  edge.slope = (margin(table, off - edge.outwards * STEP, bound) - here) / STEP;
  if (!(edge.slope > 0)) return normalCdf(-away / line);
  const near = NEAR_ENOUGH * Math.max(line, 0.1 * away);
  const most = 2 * (away + line);
  const { speed, side, height, elevation } = impact;
  shift.mean = 0;
  shift.variance = 0;
  if (error.speed > 0) {
    const pace = ROOT_3 * error.speed;
    impact.speed = speed * (1 + pace);
    const faster = movedOut(table, near);
    impact.speed = speed * Math.max(0.2, 1 - pace);
    addShift(most, faster, movedOut(table, near));
    impact.speed = speed;
  }
  if (error.tip > 0) {
    const tip = ROOT_3 * error.tip;
    impact.height = height + tip;
    const higher = movedOut(table, near);
    impact.height = height - tip;
    addShift(most, higher, movedOut(table, near));
    impact.height = height;
  }
  if (elevation > 0) {
    const butt = ROOT_3 * toRadians(error.elevationDeg);
    impact.elevation = elevation + butt;
    const steeper = movedOut(table, near);
    impact.elevation = Math.max(0, elevation - butt);
    addShift(most, steeper, movedOut(table, near));
    impact.elevation = elevation;
  }
  // A level butt can only be raised: half of all strokes swerve, by the positive half of a normal error.
  let raised = 0;
  if (elevation === 0 && side !== 0) {
    impact.elevation = toRadians(error.elevationDeg);
    raised = movedOut(table, near);
    impact.elevation = 0;
  }
  const evenly = error.tip > 0 ? moveOutBySide(table, error, near) : 0;
  const spread = Math.sqrt(line * line + Math.max(0, shift.variance) + (evenly ?? 0) ** 2);
  const out = away + shift.mean;
  return evenly === undefined ? overSide(out, spread, raised) : beyond(out, spread, raised);
}

/** Share beyond an edge that is `out` away, by a normal error of a spread, half of it moved by raised butts. */
function beyond(out: number, spread: number, raised: number): number {
  if (raised === 0) return normalCdf(-out / spread);
  let share = 0.5 * normalCdf(-out / spread);
  for (const sigmas of HALF_NORMAL) share += normalCdf(-(out + sigmas * raised) / spread) / 6;
  return share;
}

/** The same over all sides of the tip, by where the edge is at each. */
function overSide(out: number, spread: number, raised: number): number {
  let share = 0;
  for (let k = 0; k <= SIDE_STEPS; k++) {
    const node = Math.min(SIDE_NODES.length - 2, Math.floor(k / PER_NODE));
    const moved = outAt[node]! + (k / PER_NODE - node) * (outAt[node + 1]! - outAt[node]!);
    share += SIDE_SHARES[k]! * beyond(out + moved, spread, raised);
  }
  return share;
}

/**
 * The first bound that is broken towards one side.
 * @param side −1 to the right, 1 to the left
 * @param guess how far away it will be, radians, > 0
 * @param exact to which it is found, radians
 */
export function edgeTowards(
  table: Table,
  aimed: number,
  widest: number,
  side: -1 | 1,
  guess: number,
  exact: number,
): Edge {
  const bound = side === 1 ? 'low' : 'high';
  let within = aimed;
  for (let step = guess; ; step *= WIDER) {
    const off = side * Math.min(widest, side * within + step);
    if (margin(table, off, bound) < 0) {
      return { off: rootBetween((each) => margin(table, each, bound), within, off, exact), bound };
    }
    if (off === side * widest) return { off, bound: undefined };
    within = off;
  }
}
