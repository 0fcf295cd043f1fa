import { borderOf } from '../math/roots.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { simulateMotion } from '../motion/simulate.ts';
import type { PocketName } from '../table/pockets.ts';
import { pocketNamed, type Table } from '../table/table.ts';

/** The directions in which a ball sent off on its own falls into a pocket. */
export interface Acceptance {
  /** Radians; `low` < `high`, `middle` halfway. */
  readonly low: number;
  readonly high: number;
  readonly middle: number;
  /** With which the ball was sent, m/s, sliding without spin. */
  readonly speed: number;
  /** How its edges move for balls sent otherwise; left out where nobody asked. */
  readonly bend?: AcceptanceBend;
}

/**
 * How the edges of an acceptance move, radians: by the logarithm of the speed, for slower and for faster balls, and by spin
 * about the vertical, R·ω / v.
 */
export interface AcceptanceBend {
  readonly lowSlower: number;
  readonly highSlower: number;
  readonly lowFaster: number;
  readonly highFaster: number;
  readonly lowBySpin: number;
  readonly highBySpin: number;
}

/** How fast a ball should still be when it reaches the pocket, m/s: dead weight would be refused by a slow roll. */
const ARRIVAL_SPEED = 1;
/** Farthest from the straight line to look for a way in, radians, and in how many steps. */
const SEARCH_HALF_WIDTH = 0.12;
const SEARCH_STEPS = 24;
/** Nearer to the mouth than this a ball lies at the jaws, metres. */
const AT_THE_JAWS = 0.08;
/** How much larger steps are beyond the half width of the search. */
const WIDE_STEPS = 10;
/** No ball is sent off farther aside, radians. */
const WIDEST = 1.5;
/** Edges are found to this, radians: a tenth of a millimetre over the longest table. */
const EDGE_TOLERANCE = 2e-5;

/**
 * The speed to send a ball off with so that it reaches a place at a moderate pace: it slides first and then
 * rolls with 5/7 of its speed, losing 2·μr·g·d of its square on the way d.
 */
export function pottingSpeed(table: Table, way: number): number {
  const { rollingFriction, gravity } = table.parameters;
  return 1.4 * Math.sqrt(ARRIVAL_SPEED * ARRIVAL_SPEED + 2 * rollingFriction * gravity * way);
}

/** The least speed with which a ball gets to a pocket at all, m/s, by the speed that `pottingSpeed` gives for the way. */
export function leastSpeedOf(speed: number): number {
  return Math.sqrt(Math.max(0, speed * speed - (1.4 * ARRIVAL_SPEED) ** 2));
}

/**
 * Whether a ball falls that is sent off in a direction.
 * @param spin about the vertical, R·ω / v, positive to the left of its way
 */
function fallsFrom(table: Table, from: Point, pocket: PocketName, speed: number, spin = 0) {
  const { ballRadius: radius, ballMass: mass } = table.preset;
  const wz = (spin * speed) / radius;
  return (direction: number): boolean => {
    const [vx, vy] = [speed * Math.cos(direction), speed * Math.sin(direction)];
    const ball = { id: 'object', x: from.x, y: from.y, radius, mass, vx, vy, wx: 0, wy: 0, wz };
    return simulateMotion(table, [ball], { events: false }).rest[0]?.pocket === pocket;
  };
}

/**
 * The interval of directions in which a ball sent from a place falls into a pocket, jaws and pace included,
 * found with the simulator by halving at both edges.
 * @returns undefined when no direction near the straight line pots it
 */
export function acceptanceOf(table: Table, from: Point, pocketName: PocketName): Acceptance | undefined {
  const pocket = pocketNamed(table, pocketName);
  const away = distance(from, pocket.mouth);
  const speed = pottingSpeed(table, away);
  // Within the jaws the mouth is no place to aim at: the ball may lie beyond it.
  const straight = bearing(from, away < AT_THE_JAWS ? pocket.drop : pocket.mouth);
  const falls = fallsFrom(table, from, pocketName, speed);
  const step = SEARCH_HALF_WIDTH / SEARCH_STEPS;
  const offsets = Array.from(
    { length: 2 * SEARCH_STEPS + 1 },
    (_, i) => (i % 2 === 0 ? 1 : -1) * Math.ceil(i / 2) * step,
  );
  const found = offsets.find((offset) => falls(straight + offset));
  if (found === undefined) return undefined;
  const inside = straight + found;
  // Right at a pocket nearly every direction falls: from some way off on, larger steps do.
  const stepAt = (away: number) => (away < SEARCH_HALF_WIDTH ? step : WIDE_STEPS * step);
  const edge = (outwards: -1 | 1) => {
    let away = 0;
    while (away < WIDEST && falls(inside + outwards * (away + stepAt(away)))) away += stepAt(away);
    const last = inside + outwards * away;
    return borderOf(falls, last, last + outwards * stepAt(away), EDGE_TOLERANCE);
  };
  const low = edge(-1);
  const high = edge(1);
  return { low, high, middle: 0.5 * (low + high), speed };
}

/** Changes by which it is measured how edges move: of the speed as a factor, of the spin; and how far they are looked for. */
const FASTER = 1.3;
const SLOWER = 1 / 1.5;
const SPIN = 0.1;
const MOVED_AT_MOST = 0.12;

/** An edge of what falls, looked for near another one. @param outwards −1 for the low edge, 1 for the high one */
function edgeNear(falls: (direction: number) => boolean, near: number, outwards: -1 | 1): number {
  const inwards = falls(near) ? outwards : -outwards;
  for (let away = 0.0008; away <= MOVED_AT_MOST; away *= 2.2) {
    const other = near + inwards * away;
    if (falls(other) !== falls(near)) {
      return inwards === outwards
        ? borderOf(falls, near, other, EDGE_TOLERANCE)
        : borderOf(falls, other, near, EDGE_TOLERANCE);
    }
  }
  return near;
}

/**
 * The acceptance of a place with how its edges move by pace and spin, for chances that are to be exact: as costly as some
 * five of the plain ones.
 * @returns undefined when no direction near the straight line pots it
 */
export function fullAcceptanceOf(table: Table, from: Point, pocket: PocketName): Acceptance | undefined {
  const found = acceptanceOf(table, from, pocket);
  if (found === undefined) return undefined;
  const { low, high, speed } = found;
  const edges = (factor: number, spin: number) => {
    const falls = fallsFrom(table, from, pocket, factor * speed, spin);
    return { low: edgeNear(falls, low, -1), high: edgeNear(falls, high, 1) };
  };
  const [fast, slow] = [edges(FASTER, 0), edges(SLOWER, 0)];
  const [left, right] = [edges(1, SPIN), edges(1, -SPIN)];
  const perFaster = 1 / Math.log(FASTER);
  const perSlower = -1 / Math.log(SLOWER);
  const perSpin = 1 / (2 * SPIN);
  return {
    ...found,
    bend: {
      lowSlower: (low - slow.low) * perSlower,
      highSlower: (high - slow.high) * perSlower,
      lowFaster: (fast.low - low) * perFaster,
      highFaster: (fast.high - high) * perFaster,
      lowBySpin: (left.low - right.low) * perSpin,
      highBySpin: (left.high - right.high) * perSpin,
    },
  };
}
