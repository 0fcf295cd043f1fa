import { toRadians, wrapAngle } from '../math/angle.ts';
import { normalCdf } from '../math/normal.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { rootBetween } from '../math/roots.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { Tip } from '../motion/shot.ts';
import { MISCUE_OFFSET, squirtTangent } from '../motion/strike.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Table } from '../table/table.ts';
import type { Acceptance } from './acceptance.ts';
import { SWERVE, swerves } from './aim.ts';
import { impact, inside, lookInside, pot, setPot } from './pot/bounds.ts';
import { EXACT, FIRST_LOOK, WIDER } from './pot/constants.ts';
import { isByCushion, passedLeft, playImpact, prepareImpact } from './pot/impact.ts';
import { inPieces } from './pot/pieces.ts';
import { keptFromSecondMeeting } from './pot/secondMeeting.ts';
import { edgeTowards, straysBeyond } from './pot/strays.ts';

/** A ball to be potted and the directions in which it falls. */
export interface PotTarget {
  readonly object: Point;
  readonly acceptance: Acceptance;
}

/** How a pot is played. */
export interface PotStroke {
  readonly tip: Tip;
  /** Of the butt above level, radians. */
  readonly elevation: number;
  /** m/s; left out, the pace that brings the ball in with ease. */
  readonly speed?: number | undefined;
}

export const CENTRE_BALL: Tip = { side: 0, height: 0 };

/** Nobody sends the cue ball faster on purpose, m/s. */
const FASTEST = 6.5;
/** Cuts closer to a miss than this are not tried: the last thousandth of the ball. */
const GRAZE = 0.999;
/** Thinner cuts, by their cosine, leave the cue ball enough pace to come back to the ball. */
const THIN = Math.cos(toRadians(50));
/** Less likely pots are not looked at for a second meeting. */
const WORTH_A_LOOK = 0.02;
/** Faster than this, as a logarithm, against the least speed that gets a ball to the pocket, it gets there for certain. */
const ENOUGH = 0.8;

/**
 * The speed of the cue ball as it is struck so that it meets a ball on its way with a given one: it slides, slowed by
 * the cloth or, struck higher than 2/5 of the radius, driven by it, until it rolls with 5·(1 + h)/7 of its speed
 * (a solid sphere's spin 5·h·v/(2·R) and its moment of inertia 2/5·m·R²: v = 5/7·v₀ + 2/7·R·ω₀).
 * @param met m/s, ≥ 0 @param way metres to the contact, ≥ 0 @param height of the tip, ball radii, −0.5…0.5
 * @returns m/s
 */
export function struckSpeed({ parameters }: Table, met: number, way: number, height: number): number {
  const sliding = parameters.slidingFriction * parameters.gravity * (height < 0.4 ? 1 : -1);
  const rolling = parameters.rollingFriction * parameters.gravity;
  const kept = ((5 + 5 * height) / 7) ** 2;
  const still = met * met + 2 * sliding * way;
  // Still sliding as it arrives?
  if (still > 0 && ((1 - kept) * still) / (2 * sliding) >= way) return Math.sqrt(still);
  return Math.sqrt((met * met + 2 * rolling * way) / (kept + (rolling / sliding) * (1 - kept)));
}

/** A stroke at a pot as it is aimed. */
export interface AimedStroke {
  /** In which the cue ball leaves, squirt taken out, radians. */
  readonly leaves: number;
  /** The chance that the ball gets to the pocket at all, whatever its direction, 0…1. */
  readonly arrives: number;
}

/** A pot as it is aimed, and how likely it is. */
interface AimedPot extends AimedStroke {
  /** Cosine of the cut. */
  readonly cut: number;
  /** The chance that the ball keeps to the directions that fall, 0…1; the pot's is the product of both. */
  readonly falls: number;
}

/**
 * The chance that a player pots a ball from a place with a stroke: the share of normal errors of line, pace, tip and butt
 * with which the object ball stays within what the pocket takes, the stroke aimed at its middle. Cloth and impact are the
 * simulator's own. The line is followed to both edges of what falls; how far an edge moves with each of the other errors is
 * looked at on both sides of the plan and, where it moves unevenly, as far out as the errors reach (`strays.ts`).
 * @param cue centre of the cue ball, metres @param target centre of the object ball, metres, and its acceptance, radians
 * @param error standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees), ≥ 0
 * @param stroke tip in ball radii, −0.5…0.5; butt in radians, 0…π/2; pace in m/s, > 0
 * @returns 0…1; 0 when no cut pots it, or the balls overlap
 */
export function potChance(
  table: Table,
  cue: Point,
  target: PotTarget,
  error: ExecutionError,
  stroke: PotStroke = { tip: CENTRE_BALL, elevation: 0 },
): number {
  const aimed = aimedPot(table, cue, target, error, stroke);
  if (aimed === undefined) return 0;
  const chance = aimed.arrives * aimed.falls;
  return chance < WORTH_A_LOOK || aimed.cut > THIN
    ? chance
    : chance * keptOf(table, cue, target, error, aimed);
}

/** What a second meeting of the two balls leaves of the chance: of the stroke that was looked at last. */
function keptOf(
  table: Table,
  cue: Point,
  { object }: PotTarget,
  error: ExecutionError,
  { leaves }: AimedPot,
): number {
  const { speed, side, height, elevation } = impact;
  const squirt = Math.atan(squirtTangent(side, table.preset.cueBallMass, table.parameters.endMass));
  const strike = { speed, direction: leaves + squirt, tip: { side, height }, elevation };
  return keptFromSecondMeeting(table, cue, object, strike, error);
}

/** The same in its parts, with the line on which the cue ball leaves; undefined when no cut pots the ball, or the balls overlap. */
export function aimedPot(
  table: Table,
  cue: Point,
  target: PotTarget,
  error: ExecutionError,
  stroke: PotStroke,
): AimedPot | undefined {
  const aim = aimOf(table, cue, target, stroke);
  if (aim === undefined) return undefined;
  const { aimed, widest, leaves } = aim;
  const arrives = reaches(table, error, aimed);
  lookInside(table, aimed);
  if (isByCushion() || Math.min(inside.low, inside.high) <= 0) {
    return { leaves, arrives, cut: aim.cut, falls: inPieces(table, error, aimed) };
  }
  // By geometry the object ball turns by this much where the line turns by one; a little farther, and the edge is passed.
  const turn = (aim.apart * Math.cos(aimed)) / (aim.reach * aim.cut) - 1;
  const look = (half: number) => Math.min(widest, Math.max(EXACT, (1.15 * half) / Math.max(1, turn)));
  const exact = Math.max(EXACT, 0.01 * toRadians(error.directionDeg));
  const { low, high } = inside;
  const left = straysBeyond(table, error, aimed, edgeTowards(table, aimed, widest, 1, look(low), exact));
  const right = straysBeyond(table, error, aimed, edgeTowards(table, aimed, widest, -1, look(high), exact));
  return { leaves, arrives, cut: aim.cut, falls: Math.max(0, 1 - left - right) };
}

/**
 * A stroke aimed so that it sends the ball to the middle of what falls, without how likely it is to fall: much less work.
 * Arguments as for `potChance`; undefined when no cut does.
 */
export function aimedStroke(
  table: Table,
  cue: Point,
  target: PotTarget,
  error: ExecutionError,
  stroke: PotStroke,
): AimedStroke | undefined {
  const aim = aimOf(table, cue, target, stroke);
  return aim && { leaves: aim.leaves, arrives: reaches(table, error, aim.aimed) };
}

/** A stroke at a pot, aimed: what is looked at from now on. */
interface Aim {
  readonly leaves: number;
  /** The line against that of the centres, and the farthest that meets the ball, radians. */
  readonly aimed: number;
  readonly widest: number;
  /** Of the centres before the stroke and as they meet, metres; cosine of the cut. */
  readonly apart: number;
  readonly reach: number;
  readonly cut: number;
}

function aimOf(
  table: Table,
  cue: Point,
  { object, acceptance }: PotTarget,
  { tip, elevation, speed }: PotStroke,
): Aim | undefined {
  const { cueBallRadius, ballRadius, cueBallMass, ballMass } = table.preset;
  const apart = distance(cue, object);
  const reach = contactDistance(cueBallRadius, ballRadius);
  if (apart < reach) return undefined;
  const toObject = bearing(cue, object);
  const wanted = wrapAngle(acceptance.middle - toObject);
  if (Math.abs(wanted) > Math.PI / 2) return undefined;
  prepareImpact(table, cue, object);
  const contactX = apart - reach * Math.cos(wanted);
  const contactY = -reach * Math.sin(wanted);
  const way = Math.hypot(contactX, contactY);
  const cut = Math.cos(wanted - Math.atan2(contactY, contactX));
  if (cut <= 0) return undefined;
  const passedOn = (cueBallMass / (cueBallMass + ballMass)) * (1 + table.parameters.ballRestitution);
  const comfortable = struckSpeed(table, acceptance.speed / (passedOn * cut), way, tip.height);
  impact.speed = speed ?? Math.min(FASTEST, comfortable / Math.cos(elevation));
  impact.side = tip.side;
  impact.height = Math.max(-MISCUE_OFFSET, Math.min(MISCUE_OFFSET, tip.height));
  impact.elevation = elevation;
  setPot(acceptance, toObject);
  // A ball that swerves meets the other on lines that pass by it.
  const widest = Math.asin(Math.min(1, reach / apart)) * GRAZE + (swerves({ tip, elevation }) ? SWERVE : 0);
  const aimed = aimAt(table, wanted, Math.atan2(contactY, contactX), widest);
  return { leaves: wrapAngle(toObject + aimed), aimed, widest, apart, reach, cut };
}

/** The chance that the object ball gets to the pocket at all, whatever its direction: by errors of pace and height. */
function reaches(table: Table, error: ExecutionError, aimed: number): number {
  const spare = () => (playImpact(table, impact, aimed) ? Math.log(impact.sent / pot.least) : 0);
  const planned = spare();
  if (planned > ENOUGH) return 1;
  const { speed, height } = impact;
  impact.speed = speed * (1 - error.speed);
  const byPace = spare() - planned;
  impact.speed = speed;
  impact.height = height - error.tip;
  const byHeight = spare() - planned;
  impact.height = height;
  return normalCdf(planned / Math.max(1e-6, Math.hypot(byPace, byHeight)));
}

/**
 * The line on which the object ball is sent to the middle of what falls, or what comes nearest to it, radians.
 * @param guess as geometry has it
 */
function aimAt(table: Table, wanted: number, guess: number, widest: number): number {
  // A cue ball sent farther left meets the ball on its left and sends it to the right: the direction falls.
  const beside = (off: number) =>
    playImpact(table, impact, off, false)
      ? wrapAngle(impact.direction - wanted)
      : passedLeft()
        ? -Math.PI
        : Math.PI;
  let [right, left] = [guess, guess];
  for (let step = FIRST_LOOK * widest; ; step *= WIDER) {
    if (beside(right) > 0) break;
    if (right === -widest) return right;
    left = right;
    right = Math.max(-widest, right - step);
  }
  if (right < left) return rootBetween(beside, right, left, EXACT);
  for (let step = FIRST_LOOK * widest; ; step *= WIDER) {
    if (beside(left) <= 0) break;
    if (left === widest) return left;
    right = left;
    left = Math.min(widest, left + step);
  }
  return rootBetween(beside, right, left, EXACT);
}
