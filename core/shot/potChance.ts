import { wrapAngle } from '../math/angle.ts';
import { normalCdf } from '../math/normal.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { rootBetween } from '../math/roots.ts';
import { collideBalls, contactDistance } from '../motion/ballBall.ts';
import { createState, placeBall } from '../motion/state.ts';
import type { Table } from '../table/table.ts';
import type { Acceptance } from './acceptance.ts';

/** A ball to be potted and the directions in which it falls. */
export interface PotTarget {
  readonly object: Point;
  readonly acceptance: Acceptance;
}

/**
 * Up to the first speed the cue ball is sent with full control, beyond the second not at all, m/s; in between
 * control falls evenly. Thin cuts need the speed.
 */
const CONTROLLED = 3.5;
const FASTEST = 6;
/** Cuts closer to a miss than this are not tried: the last thousandth of the ball. */
const GRAZE = 0.999;

/** The two balls of one impact: thousands are asked for at a time, and each is over before the next begins. */
const pair = createState(2);

/**
 * The chance that a player pots a ball from a place: the share of a normal error of the cue ball's direction
 * that sends the object ball into the pocket's acceptance, aimed at the middle of what works. The impact is the
 * simulator's own, the cue ball rolling, so that throw is in it; errors of pace and tip are not.
 * @param cue centre of the cue ball, metres
 * @param errorRad standard deviation of the direction, radians, > 0
 * @returns 0…1; 0 when no cut pots it, or the balls overlap
 */
export function potChance(table: Table, cue: Point, target: PotTarget, errorRad: number): number {
  const { object, acceptance } = target;
  const { ballRadius: radius, ballMass: mass } = table.preset;
  const apart = distance(cue, object);
  const reach = contactDistance(radius, radius);
  const ball = { id: '', x: 0, y: 0, radius, mass, vx: 0, vy: 0, wx: 0, wy: 0, wz: 0 };
  if (apart < reach) return 0;
  const toObject = bearing(cue, object);
  const widest = Math.asin(Math.min(1, reach / apart)) * GRAZE;

  /** Direction in which the object ball leaves, against the wanted one, for a cue ball sent `off` the full line. */
  const leaves = (off: number): number => {
    const direction = toObject + off;
    const lineOfCentres = direction - Math.asin((apart * Math.sin(off)) / reach);
    const cosCut = Math.max(Math.cos(lineOfCentres - direction), 1e-3);
    const speed = Math.min(
      FASTEST,
      (2 * acceptance.speed) / ((1 + table.parameters.ballRestitution) * cosCut),
    );
    const vx = speed * Math.cos(direction);
    const vy = speed * Math.sin(direction);
    placeBall(pair, 0, { ...ball, vx, vy, wx: -vy / radius, wy: vx / radius }, table.parameters);
    placeBall(
      pair,
      1,
      { ...ball, x: reach * Math.cos(lineOfCentres), y: reach * Math.sin(lineOfCentres) },
      table.parameters,
    );
    collideBalls(pair, 0, 1, table.parameters);
    return wrapAngle(Math.atan2(pair.vy[1]!, pair.vx[1]!) - acceptance.middle);
  };

  const half = 0.5 * (acceptance.high - acceptance.low);
  // A cue ball sent farther left meets the ball on its left and sends it to the right: `leaves` falls.
  const leftmost = leaves(-widest);
  const rightmost = leaves(widest);
  if (!(leftmost > half && rightmost < -half)) return 0;
  const low = rootBetween((off) => leaves(off) - half, -widest, widest, 1e-7);
  const high = rootBetween((off) => leaves(off) + half, -widest, widest, 1e-7);
  const middle = 0.5 * (low + high);
  const cosCut = Math.cos(Math.asin((apart * Math.sin(middle)) / reach));
  const needed = (2 * acceptance.speed) / ((1 + table.parameters.ballRestitution) * cosCut);
  const control = Math.min(1, Math.max(0, (FASTEST - needed) / (FASTEST - CONTROLLED)));
  return control * (2 * normalCdf((high - low) / (2 * errorRad)) - 1);
}
