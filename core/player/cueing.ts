import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { CUE_REACH, roomBehind, type RoomLimits } from '../table/room.ts';
import type { Table } from '../table/table.ts';
import type { ExecutionError } from './levels.ts';

export const HAMPERINGS = [
  'over a ball',
  'close to a cushion',
  'with the rest',
  'at a stretch',
  'by a wall',
] as const;
export type Hampering = (typeof HAMPERINGS)[number];

/** By how much each error of a player grows. */
export interface HamperFactors {
  readonly direction: number;
  readonly speed: number;
  readonly tip: number;
}

/**
 * How much worse a stroke gets where the cue cannot be held as usual: factors on the player's errors. They are the
 * product's own estimates, here to be adjusted.
 */
export const HAMPER_FACTORS: Readonly<Record<Hampering, HamperFactors>> = {
  'over a ball': { direction: 1.8, speed: 1.3, tip: 1.5 },
  'close to a cushion': { direction: 1.3, speed: 1.15, tip: 1.2 },
  'with the rest': { direction: 1.5, speed: 1.25, tip: 1.3 },
  'at a stretch': { direction: 1.25, speed: 1.15, tip: 1.15 },
  'by a wall': { direction: 1.6, speed: 1.4, tip: 1.3 },
};

export type Hand = 'right' | 'left';

/** Whether and how a stroke can be cued. */
export interface Cueing {
  readonly verdict: 'level' | 'raised' | 'rest' | 'impossible';
  readonly because: readonly Hampering[];
  /** Least angle of the butt above level, radians. */
  readonly elevation: number;
}

/** A cue that is raised no more than this counts as level, radians: rails ask for as much on most strokes. */
const LEVEL = 0.14;
/** Steeper than this a ball can only be stabbed at, radians. */
const STEEPEST = 1.3;
/** Half the thickness of the cue where it passes over something, and what stays free below it, metres. */
const CUE_HALF = 0.007;
const FREE_BELOW = 0.004;
/** How far behind the cue ball a ball can still be under the cue or the hand, metres. */
const UNDER_THE_HAND = 0.45;
/** The hand stands this far behind the ball; nearer to a cushion it has to go up onto it, metres. */
const BRIDGE = 0.22;
const ROOM_FOR_THE_HAND = 0.14;
/** From the nose to the outside of the rail, metres. */
const RAIL = 0.14;
/** How far the hand gets from where the player stands: with ease, and at most, metres. */
const EASY_REACH = 0.95;
const LONGEST_REACH = 1.2;
/** Where the player can stand, seen from the hand: angles off the line of the cue towards the body's side, radians. */
const STANCES = [-0.26, 0, 0.26, 0.52, 0.79, 1.05];

/** How far it is along a ray to the rectangle that a table and its rails cover, metres. */
function toOutside({ length, width }: Table, from: Point, angle: number): number {
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const along = (u: number, low: number, high: number, at: number) =>
    u > 1e-12 ? (high - at) / u : u < -1e-12 ? (low - at) / u : Infinity;
  return Math.min(along(ux, -RAIL, length + RAIL, from.x), along(uy, -RAIL, width + RAIL, from.y));
}

/** The angle of the butt that clears something of a height at a distance behind the ball, radians. */
function angleOver(height: number, behind: number, tipHeight: number): number {
  return Math.max(0, Math.atan((height + CUE_HALF + FREE_BELOW - tipHeight) / Math.max(behind, 0.01)));
}

function overBalls(cue: BallOnTable, balls: readonly BallOnTable[], back: Point, tipHeight: number): number {
  let most = 0;
  for (const ball of balls) {
    const [dx, dy] = [ball.x - cue.x, ball.y - cue.y];
    const behind = dx * back.x + dy * back.y;
    const aside = Math.abs(dx * back.y - dy * back.x);
    if (behind <= 0 || behind > UNDER_THE_HAND || aside > ball.radius + CUE_HALF) continue;
    // A ball that the cue only passes beside its top is lower there.
    const top = ball.radius + Math.sqrt(Math.max(0, ball.radius ** 2 - Math.max(0, aside - CUE_HALF) ** 2));
    most = Math.max(most, angleOver(top, behind, tipHeight));
  }
  return most;
}

/** How far the player's hand is from the nearest place to stand, metres. @param back the way of the butt */
function reachNeeded(table: Table, hand: Point, back: number, side: Hand): number {
  // Right-handers have the cue on their right: the body stands to the left of it, which is clockwise of its back end.
  const turn = side === 'right' ? -1 : 1;
  return Math.min(...STANCES.map((stance) => toOutside(table, hand, back + turn * stance)));
}

/** How high the butt is held in a stroke that is cued so, radians above level; what the rails ask for counts as level. */
export function buttOf({ elevation }: Cueing): number {
  return elevation > LEVEL ? elevation : 0;
}

/** A butt that has to be steeper makes a massé of a stroke, radians: our own estimate. A centre ball off a cushion needs 0.58. */
const STEEPEST_STROKE = 0.62;

/** How high the butt is held for a tip of some height, radians; undefined where no cue gets there. */
export type ButtFor = (height: number) => number | undefined;

/**
 * The butt for each height of the tip: a low tip over a cushion or a ball asks for a steeper one, or cannot be played.
 * @param held how a centre ball is cued
 * @param at the same for any height of the tip above centre, −1…1 ball radii
 * @returns radians above level, by the height of the tip; plain geometry of a straight cue (see cueingOf)
 */
export function buttsFor(held: Cueing, at: (height: number) => Cueing): ButtFor {
  const known = new Map<number, number | undefined>();
  const steepest = Math.max(STEEPEST_STROKE, held.elevation);
  return (height) => {
    if (!known.has(height)) {
      const cueing = at(height);
      const isPlayable = cueing.verdict !== 'impossible' && cueing.elevation <= steepest;
      known.set(height, isPlayable ? buttOf(cueing) : undefined);
    }
    return known.get(height);
  };
}

export interface CueingOptions {
  readonly hand?: Hand;
  readonly room?: RoomLimits;
  /** Of the tip above centre, ball radii. */
  readonly tipHeight?: number;
}

/**
 * Whether a stroke can be cued, and what hampers it: balls under the cue, a cushion where the hand would stand, the
 * reach over the table, a wall behind. Plain geometry of a straight cue and a person beside the table.
 * @param cue the ball that is struck; @param others all other balls
 * @param direction of the stroke, radians
 */
export function cueingOf(
  table: Table,
  cue: BallOnTable,
  others: readonly BallOnTable[],
  direction: number,
  { hand = 'right', room, tipHeight = 0 }: CueingOptions = {},
): Cueing {
  const back = { x: -Math.cos(direction), y: -Math.sin(direction) };
  const tip = cue.radius * (1 + tipHeight);
  const because: Hampering[] = [];
  const over = overBalls(cue, others, back, tip);
  if (over > 0) because.push('over a ball');

  const behind = toOutside(table, cue, direction + Math.PI) - RAIL;
  const railAngle = angleOver(table.parameters.noseHeight, behind, tip);
  if (behind < ROOM_FOR_THE_HAND) because.push('close to a cushion');

  const bridge = Math.min(BRIDGE, Math.max(0, behind));
  const at = { x: cue.x + bridge * back.x, y: cue.y + bridge * back.y };
  const reach = reachNeeded(table, at, direction + Math.PI, hand);
  const rest = reach > LONGEST_REACH;
  if (rest) because.push('with the rest');
  else if (reach > EASY_REACH) because.push('at a stretch');

  const free = room === undefined ? Infinity : roomBehind(table, room, cue, direction);
  const wallAngle = free >= CUE_REACH ? 0 : Math.acos(Math.max(0, free / CUE_REACH));
  if (wallAngle > 0) because.push('by a wall');

  const elevation = Math.max(over, railAngle, wallAngle);
  const verdict =
    elevation > STEEPEST ? 'impossible' : rest ? 'rest' : elevation > LEVEL ? 'raised' : 'level';
  return { verdict, because, elevation };
}

/** A player's errors where cueing is hampered: each hampering multiplies them. */
export function hampered(
  error: ExecutionError,
  because: readonly Hampering[],
  factors: Readonly<Record<Hampering, HamperFactors>> = HAMPER_FACTORS,
): ExecutionError {
  return because.reduce<ExecutionError>(
    (worse, each) => ({
      directionDeg: worse.directionDeg * factors[each].direction,
      speed: worse.speed * factors[each].speed,
      tip: worse.tip * factors[each].tip,
      elevationDeg: worse.elevationDeg,
    }),
    error,
  );
}
