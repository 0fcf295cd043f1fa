import { toRadians, wrapAngle } from '../math/angle.ts';
import { normalCdf } from '../math/normal.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import { positionAt } from '../motion/path.ts';
import type { BallOnTable, Tip } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Table } from '../table/table.ts';
import type { Acceptance } from './acceptance.ts';
import { contactFor } from './cut.ts';
import { sideOf } from './kicks/hit.ts';
import { mirroredLine } from './kicks/thumb/mirrored.ts';
import { nearestApproach } from './passing.ts';

/** What changes a ball's way. */
const MEETINGS: readonly string[] = ['ball-ball', 'ball-cushion', 'pocket'];
/** The way is read off over this time, seconds. */
const SOON = 1e-4;
const SIDES = ['head', 'foot', 'right', 'left'] as const;

/** Thinner than this nobody cuts a ball off a cushion: cosine of the cut. */
const THINNEST = Math.cos(toRadians(65));
/** The cue ball's way is looked along in such steps, seconds. */
const LOOK = 0.03;
/** The line is turned so often at most: until the cue ball comes to the contact, and then until the ball goes to the middle. */
const MOST_TURNS = 8;
/** So near to the contact the way is left to the balls themselves, ball radii. */
const NEAR = 0.3;
/** Of half of what falls. */
const EXACT = 0.1;
/** Of an error, by which it is seen how it moves the ball: the first that does not miss it. */
const PARTS = [1, 0.5, 0.25];
/** By how much lines are told apart, radians. */
const TURN = 2e-4;
/** No line of a bounce is farther from that of equal angles, radians. */
const FARTHEST = 0.35;

/** A way to the contact of a pot by one cushion, by equal angles: about how it goes. */
export interface CushionWay {
  readonly cushion: (typeof SIDES)[number];
  /** In which the cue ball leaves, radians. */
  readonly direction: number;
  /** Where it turns, and where it meets the ball, metres. */
  readonly bounce: Point;
  readonly contact: Point;
  /** Metres, and the cosine of the cut. */
  readonly way: number;
  readonly cut: number;
}

/** A ball to be potted, and the directions in which it falls. */
interface BallToPot {
  readonly object: BallOnTable;
  readonly acceptance: Acceptance;
}

/**
 * The ways by one cushion to a pot's contact, by the ball mirrored in the line on which its middle turns, the two balls alone
 * on the table; cuts beyond 65 degrees are left out.
 * @param cue where it lies, metres @param target the ball, metres, and the directions in which it falls, radians
 */
export function cushionWays(
  table: Table,
  cue: BallOnTable,
  { object, acceptance }: BallToPot,
): readonly CushionWay[] {
  const contact = contactFor(object, acceptance.middle, cue.radius, object.radius);
  return SIDES.flatMap((cushion) => {
    const line = mirroredLine(table, cue, contact, [cushion]);
    if (line === undefined) return [];
    const { direction, last: bounce } = line;
    const cut = Math.cos(wrapAngle(bearing(bounce, contact) - acceptance.middle));
    if (cut < THINNEST) return [];
    const way = distance(cue, bounce) + distance(bounce, contact);
    return [{ cushion, direction, bounce, contact, way, cut }];
  });
}

/**
 * The chance of a pot by a cushion by plain geometry, 0…1: what turns the line of centres by ε moves the line by reach·cos(cut)·ε
 * over the whole way. To pass over those that cannot be the best.
 * @param errorRad standard deviation of the player's line, radians, > 0
 */
export function roughCushionChance(
  cue: BallOnTable,
  { object, acceptance }: BallToPot,
  { way, cut }: CushionWay,
  errorRad: number,
): number {
  const reach = contactDistance(cue.radius, object.radius);
  const half = 0.5 * (acceptance.high - acceptance.low);
  return 2 * normalCdf((half * reach * cut) / (way * errorRad)) - 1;
}

/** How a pot by a cushion is played. */
interface CushionStroke {
  readonly speed: number;
  readonly tip: Tip;
  readonly elevation: number;
}

/**
 * The line on which the cue ball, by way of one cushion, sends a ball to the middle of what falls: equal angles at first, then
 * turned by what the simulated bounce and contact do.
 * @param from a line near it, radians @param stroke speed in m/s > 0, tip in ball radii, butt in radians
 * @returns radians; undefined where no line of this cushion does
 */
export function cushionLine(
  table: Table,
  cue: BallOnTable,
  target: BallToPot,
  way: CushionWay,
  stroke: CushionStroke,
  from: number,
): number | undefined {
  const beside = (direction: number) => passesBy(table, cue, way, stroke, direction);
  const near = turned(beside, from, NEAR * cue.radius);
  if (near === undefined || Math.abs(wrapAngle(near - way.direction)) > FARTHEST) return undefined;
  const { low, high, middle } = target.acceptance;
  const off = (direction: number) => {
    const sent = sentBy(table, cue, target.object, way, stroke, direction);
    return sent === undefined ? undefined : wrapAngle(sent - middle);
  };
  return turned(off, near, 0.5 * EXACT * (high - low));
}

/**
 * The share of a player's executions in which such a stroke sends the ball to where it falls: how far each error moves the
 * ball's direction is read off a stroke with it, or with a part of it where that misses the ball; normal errors that move it
 * independently add up by their squares.
 * @param direction the line that sends the ball to the middle, radians
 * @param error standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees), ≥ 0
 * @returns 0…1
 */
export function cushionFalls(
  table: Table,
  cue: BallOnTable,
  { object, acceptance }: BallToPot,
  way: CushionWay,
  stroke: CushionStroke,
  direction: number,
  error: ExecutionError,
): number {
  const sent = (other: CushionStroke, turn = 0) =>
    sentBy(table, cue, object, way, other, direction + turn) ?? Infinity;
  const planned = sent(stroke);
  const { speed, tip, elevation } = stroke;
  const butt = toRadians(error.elevationDeg);
  const moved = (withPart: (part: number) => CushionStroke) =>
    PARTS.map((part) => wrapAngle(sent(withPart(part)) - planned) / part).find(Number.isFinite) ?? Infinity;
  const moves = [
    (toRadians(error.directionDeg) / TURN) * wrapAngle(sent(stroke, TURN) - planned),
    moved((part) => ({ ...stroke, speed: speed * (1 - part * error.speed) })),
    moved((part) => ({ ...stroke, tip: { ...tip, height: tip.height - part * error.tip } })),
    moved((part) => ({ ...stroke, tip: { ...tip, side: tip.side + part * error.tip } })),
    moved((part) => ({ ...stroke, elevation: elevation + part * butt })),
  ];
  const spread = Math.max(1e-9, Math.hypot(...moves));
  // One that misses the ball altogether says that nothing can be said.
  if (!Number.isFinite(spread)) return 0;
  const off = wrapAngle(planned - acceptance.middle);
  const half = 0.5 * (acceptance.high - acceptance.low);
  return normalCdf((half - off) / spread) - normalCdf((-half - off) / spread);
}

/** Turns a line until something is within a tolerance of nought, by secants. @returns undefined where it does not come there */
function turned(
  off: (direction: number) => number | undefined,
  from: number,
  tolerance: number,
): number | undefined {
  let at = from;
  let before: { readonly at: number; readonly value: number } | undefined;
  for (let turn = 0; turn < MOST_TURNS; turn++) {
    const value = off(at);
    if (value === undefined) return undefined;
    if (Math.abs(value) <= tolerance) return at;
    const beside = before ?? { at: at + TURN, value: off(at + TURN) ?? NaN };
    const next = at - (value * (beside.at - at)) / (beside.value - value);
    if (!Number.isFinite(next) || Math.abs(next - from) > FARTHEST) return undefined;
    before = { at, value };
    at = next;
  }
  return undefined;
}

/** By how much the cue ball, off the cushion, passes the contact on its left, metres; undefined where it never gets there. */
function passesBy(
  table: Table,
  cue: BallOnTable,
  { cushion, contact }: CushionWay,
  { speed, tip, elevation }: CushionStroke,
  direction: number,
): number | undefined {
  const strike = { ball: cue.id, speed, direction, tip, elevation };
  const { events, paths, duration } = simulate({ table, balls: [cue], strike }, { paths: true });
  const [first, second] = events.filter(({ kind }) => MEETINGS.includes(kind));
  const path = paths?.find(({ id }) => id === cue.id);
  if (path === undefined || first?.kind !== 'ball-cushion' || sideOf(first.cushion) !== cushion)
    return undefined;
  const { t, metres } = nearestApproach(path, first.t, second?.t ?? duration, contact, LOOK);
  const at = positionAt(path, t);
  const ahead = bearing(at, positionAt(path, t + SOON));
  return Math.sign(Math.sin(bearing(at, contact) - ahead)) * metres;
}

/** The direction in which a ball is sent by the cue ball off one cushion, radians; undefined where that does not meet it. */
function sentBy(
  table: Table,
  cue: BallOnTable,
  object: BallOnTable,
  { cushion }: CushionWay,
  { speed, tip, elevation }: CushionStroke,
  direction: number,
): number | undefined {
  const strike = { ball: cue.id, speed, direction, tip, elevation };
  const { events, paths } = simulate({ table, balls: [cue, object], strike }, { paths: true });
  const [first, second] = events.filter(({ kind }) => MEETINGS.includes(kind));
  if (first?.kind !== 'ball-cushion' || sideOf(first.cushion) !== cushion || second?.kind !== 'ball-ball')
    return undefined;
  const path = paths?.find(({ id }) => id === object.id);
  const piece = path?.pieces.find(({ t, vx, vy }) => t >= second.t && (vx !== 0 || vy !== 0));
  return piece && Math.atan2(piece.vy, piece.vx);
}
