import { bearing, distance, type Point } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import type { BallOnTable, Shot, Tip } from '../../motion/shot.ts';
import { squirtTangent } from '../../motion/strike.ts';
import { coloursOnSpots } from '../../rack/colours.ts';
import { CUE_BALL } from '../../drill/layout.ts';
import { cueBallAt } from '../../planning/windowAmong.ts';
import type { Table } from '../../table/table.ts';

/** How a rack is broken. */
export interface BreakStroke {
  /** Of the cue ball, metres. */
  readonly from: Point;
  /** The ball that is aimed at, by its place in the rack, the head ball being 0. */
  readonly at: number;
  /** Share of its width that is covered, above 0…1, and past which side of it the cue ball's middle goes, as it comes. */
  readonly covered: number;
  readonly past: 'left' | 'right';
  /** m/s. */
  readonly speed: number;
  /** Ball radii. */
  readonly tip: Tip;
  /** Of the butt above level, radians. */
  readonly elevation: number;
}

/**
 * A break as planned: the cue ball leaves on the line that covers the wanted share of the ball; what side makes it squirt is
 * allowed for. Reds are broken with the colours on their spots; they come last among the balls.
 * @param racked the rack's balls by their places, head ball first
 * @throws RangeError for a place that the rack does not have
 */
export function breakShot(
  table: Table,
  racked: readonly BallOnTable[],
  { from, at, covered, past, speed, tip, elevation }: BreakStroke,
): Shot {
  const cue = cueBallAt(table, from, CUE_BALL);
  const target = racked[at];
  if (target === undefined) throw new RangeError(`breakShot: the rack has no ball ${at}`);
  const reach = contactDistance(cue.radius, target.radius);
  const off = Math.asin(Math.min(1, ((1 - covered) * reach) / distance(cue, target)));
  // To pass on the left the line turns anticlockwise.
  const line = bearing(cue, target) + (past === 'left' ? off : -off);
  const squirt = Math.atan(squirtTangent(tip.side, cue.mass, table.parameters.endMass));
  return {
    table,
    balls: [cue, ...racked, ...(isReds(racked) ? coloursOnSpots(table.preset) : [])],
    strike: { ball: CUE_BALL, speed, direction: line + squirt, tip, elevation },
  };
}

const isReds = ([head]: readonly BallOnTable[]) => head?.id.startsWith('red') === true;

/**
 * How far the cue ball of a planned break runs until it meets the ball that is aimed at, metres.
 * @param racked the rack's balls by their places, head ball first
 * @throws RangeError for a place that the rack does not have
 */
export function wayToRack(
  table: Table,
  racked: readonly BallOnTable[],
  { from, at, covered }: Pick<BreakStroke, 'from' | 'at' | 'covered'>,
): number {
  const target = racked[at];
  if (target === undefined) throw new RangeError(`wayToRack: the rack has no ball ${at}`);
  const reach = contactDistance(table.preset.cueBallRadius, target.radius);
  const beside = (1 - covered) * reach;
  return Math.sqrt(distance(from, target) ** 2 - beside ** 2) - Math.sqrt(reach ** 2 - beside ** 2);
}
