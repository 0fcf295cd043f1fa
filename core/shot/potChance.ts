import { wrapAngle } from '../math/angle.ts';
import { normalCdf } from '../math/normal.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { rootBetween } from '../math/roots.ts';
import { collideBalls, contactDistance } from '../motion/ballBall.ts';
import { createState, placeAtRest } from '../motion/state.ts';
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

/**
 * The two balls of one impact, and what is asked of it. A window asks for hundreds of thousands of impacts, each over
 * before the next begins; kept here, none of them makes an object or a function of its own.
 */
const pair = createState(2);
let preparedFor: Table | undefined;
let toObject = 0;
let apart = 1;
let reach = 1;
/** Share of a closing speed that the struck ball takes on in a full hit, before restitution: m₁ / (m₁ + m₂). */
let passedOn = 1;

/** Gives the two balls the sizes and masses of a table's cue ball and object balls. */
function prepare(table: Table): void {
  if (preparedFor === table) return;
  const { ballRadius, ballMass, cueBallRadius, cueBallMass } = table.preset;
  placeAtRest(pair, 0, { id: '', x: 0, y: 0, radius: cueBallRadius, mass: cueBallMass }, table.parameters);
  placeAtRest(pair, 1, { id: '', x: 0, y: 0, radius: ballRadius, mass: ballMass }, table.parameters);
  reach = contactDistance(cueBallRadius, ballRadius);
  passedOn = cueBallMass / (cueBallMass + ballMass);
  preparedFor = table;
}

function setMotion(i: number, vx: number, vy: number, wx: number, wy: number): void {
  pair.vx[i] = vx;
  pair.vy[i] = vy;
  pair.vz[i] = 0;
  pair.wx[i] = wx;
  pair.wy[i] = wy;
  pair.wz[i] = 0;
}

/** Speed at which a ball must be met at a cut to come in as it should. */
function neededSpeed(table: Table, target: PotTarget, cosCut: number): number {
  return target.acceptance.speed / (passedOn * (1 + table.parameters.ballRestitution) * cosCut);
}

/** Direction in which the object ball leaves, against the wanted one, for a cue ball sent `off` the full line. */
function leaves(table: Table, target: PotTarget, off: number): number {
  const radius = table.preset.cueBallRadius;
  const direction = toObject + off;
  const lineOfCentres = direction - Math.asin((apart * Math.sin(off)) / reach);
  const cosCut = Math.max(Math.cos(lineOfCentres - direction), 1e-3);
  const speed = Math.min(FASTEST, neededSpeed(table, target, cosCut));
  const vx = speed * Math.cos(direction);
  const vy = speed * Math.sin(direction);
  setMotion(0, vx, vy, -vy / radius, vx / radius);
  setMotion(1, 0, 0, 0, 0);
  pair.x[1] = reach * Math.cos(lineOfCentres);
  pair.y[1] = reach * Math.sin(lineOfCentres);
  collideBalls(pair, 0, 1, table.parameters);
  return wrapAngle(Math.atan2(pair.vy[1]!, pair.vx[1]!) - target.acceptance.middle);
}

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
  prepare(table);
  apart = distance(cue, object);
  if (apart < reach) return 0;
  toObject = bearing(cue, object);
  const widest = Math.asin(Math.min(1, reach / apart)) * GRAZE;
  const half = 0.5 * (acceptance.high - acceptance.low);
  // A cue ball sent farther left meets the ball on its left and sends it to the right: `leaves` falls.
  if (!(leaves(table, target, -widest) > half && leaves(table, target, widest) < -half)) return 0;
  const low = rootBetween((off) => leaves(table, target, off) - half, -widest, widest, 1e-7);
  const high = rootBetween((off) => leaves(table, target, off) + half, -widest, widest, 1e-7);
  const middle = 0.5 * (low + high);
  const cosCut = Math.cos(Math.asin((apart * Math.sin(middle)) / reach));
  const needed = neededSpeed(table, target, cosCut);
  const control = Math.min(1, Math.max(0, (FASTEST - needed) / (FASTEST - CONTROLLED)));
  return control * (2 * normalCdf((high - low) / (2 * errorRad)) - 1);
}
