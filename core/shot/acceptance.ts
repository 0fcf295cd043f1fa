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
}

/** How fast a ball should still be when it reaches the pocket, m/s: dead weight would be refused by a slow roll. */
const ARRIVAL_SPEED = 1;
/** Farthest from the straight line to look for a way in, radians, and in how many steps. */
const SEARCH_HALF_WIDTH = 0.12;
const SEARCH_STEPS = 24;
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

/**
 * The interval of directions in which a ball sent from a place falls into a pocket, jaws and pace included,
 * found with the simulator by halving at both edges.
 * @returns undefined when no direction near the straight line pots it
 */
export function acceptanceOf(table: Table, from: Point, pocketName: PocketName): Acceptance | undefined {
  const pocket = pocketNamed(table, pocketName);
  const { ballRadius: radius, ballMass: mass } = table.preset;
  const speed = pottingSpeed(table, distance(from, pocket.mouth));
  const straight = bearing(from, pocket.mouth);
  const falls = (direction: number) => {
    const ball = {
      id: 'object',
      x: from.x,
      y: from.y,
      radius,
      mass,
      vx: speed * Math.cos(direction),
      vy: speed * Math.sin(direction),
      wx: 0,
      wy: 0,
      wz: 0,
    };
    return simulateMotion(table, [ball]).rest[0]?.pocket === pocketName;
  };
  const step = SEARCH_HALF_WIDTH / SEARCH_STEPS;
  const offsets = Array.from(
    { length: 2 * SEARCH_STEPS + 1 },
    (_, i) => (i % 2 === 0 ? 1 : -1) * Math.ceil(i / 2) * step,
  );
  const found = offsets.find((offset) => falls(straight + offset));
  if (found === undefined) return undefined;
  const inside = straight + found;
  let low = inside;
  while (falls(low - step)) low -= step;
  let high = inside;
  while (falls(high + step)) high += step;
  low = borderOf(falls, low, low - step, EDGE_TOLERANCE);
  high = borderOf(falls, high, high + step, EDGE_TOLERANCE);
  return { low, high, middle: 0.5 * (low + high), speed };
}
