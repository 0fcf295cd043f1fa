import { leaveGrade } from '../counting/leaveGrade.ts';
import type { LeaveGrade } from '../counting/kickScore.ts';
import { distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { bestLeft, isHidden } from '../planning/safety/leave.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Table } from '../table/table.ts';

/** Where the two balls of a kick came to lie, as somebody tapped it. */
export interface KickTaps {
  readonly cueAt: Point;
  readonly targetAt: Point;
}

/** What the taps tell. */
export interface KickRead {
  /** The ball lies where it lay: it was not met. */
  readonly missed: boolean;
  /** Chance of the opponent's best pot, 0…1, and how that is graded. */
  readonly left: number;
  readonly leave: LeaveGrade;
  /** Whether no straight way to a ball that they may play is left. */
  readonly hidden: boolean;
}

/** A ball that was tapped this near to where it lay has not moved, metres. */
const UNMOVED = 0.025;

/**
 * Reads a kick off two taps: where the cue ball stopped and where the ball did that was to be met. The other balls count as
 * they lay. How thick the ball was hit they tell of a planned stroke only (kickCause).
 * @param balls as they lay before, the cue ball among them, metres
 * @param opponent standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees)
 * @throws RangeError without one of the two balls
 */
export function readKick(
  table: Table,
  balls: readonly BallOnTable[],
  cueId: string,
  target: string,
  { cueAt, targetAt }: KickTaps,
  opponent: ExecutionError,
): KickRead {
  const cue = balls.find(({ id }) => id === cueId);
  const ball = balls.find(({ id }) => id === target);
  if (cue === undefined || ball === undefined) {
    throw new RangeError(`readKick: no ball ${target}, or no cue ball`);
  }
  const missed = distance(ball, targetAt) < UNMOVED;
  const there = missed ? ball : { ...ball, ...targetAt };
  const objects = balls.flatMap((each) => (each === cue ? [] : [each === ball ? there : each]));
  // A finger may put balls a little into each other: they touch then.
  const struck = outOf({ ...cue, ...cueAt }, objects);
  const left = bestLeft(table, opponent, struck, objects, target);
  return { missed, left, leave: leaveGrade(left), hidden: isHidden(table, struck, objects, target) };
}

/** A ball where it was tapped, moved out of the nearest other that it would lie in. */
function outOf(ball: BallOnTable, others: readonly BallOnTable[]): BallOnTable {
  const near = others.find((other) => distance(other, ball) < contactDistance(other.radius, ball.radius));
  if (near === undefined) return ball;
  const away = Math.atan2(ball.y - near.y, ball.x - near.x);
  const reach = contactDistance(near.radius, ball.radius) + 1e-6;
  return { ...ball, x: near.x + reach * Math.cos(away), y: near.y + reach * Math.sin(away) };
}
