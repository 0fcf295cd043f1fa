import { wrapAngle } from '../math/angle.ts';
import { bearing, distance } from '../math/point.ts';
import { rootBetween } from '../math/roots.ts';
import { contactDistance } from '../motion/ballBall.ts';
import { simulate } from '../motion/simulate.ts';
import type { BallOnTable, Shot, ShotResult, Strike } from '../motion/shot.ts';
import type { PocketName } from '../table/pockets.ts';
import { withoutCushions, type Table } from '../table/table.ts';
import { acceptanceOf } from './acceptance.ts';

/** A stroke whose direction is still to be found. */
export type StrokePlan = Omit<Strike, 'direction'>;

export type Aim =
  | { readonly kind: 'pots'; readonly shot: Shot; readonly result: ShotResult }
  | { readonly kind: 'no-way'; readonly reason: 'pocket-closed' | 'too-thin' | 'blocked' };

/** Directions are solved to this, radians: far below what any player can tell. */
const DIRECTION_TOLERANCE = 1e-9;

function ballNamed(balls: readonly BallOnTable[], id: string): BallOnTable {
  const ball = balls.find((candidate) => candidate.id === id);
  if (ball === undefined) throw new RangeError(`aimToPot: there is no ball ${id}`);
  return ball;
}

/**
 * Solves the direction that pots a ball for a given pace and tip, with the simulator itself, so that throw and
 * whatever else bends a shot is compensated here and nowhere else.
 *
 * The object ball's direction once it rolls is brought onto the middle of the pocket's acceptance (on an endless
 * bed, where the answer is smooth), then the whole shot is played to see that it falls.
 * @param stroke pace, tip and elevation; its `ball` is the one struck
 * @throws RangeError for an unknown ball or pocket, InvalidShotError for a stroke that cannot be played
 */
export function aimToPot(
  table: Table,
  balls: readonly BallOnTable[],
  stroke: StrokePlan,
  objectId: string,
  pocket: PocketName,
): Aim {
  const cue = ballNamed(balls, stroke.ball);
  const object = ballNamed(balls, objectId);
  const acceptance = acceptanceOf(table, object, pocket);
  if (acceptance === undefined) return { kind: 'no-way', reason: 'pocket-closed' };
  const bed = withoutCushions(table);
  const full = bearing(cue, object);
  const widest =
    Math.asin(Math.min(1, contactDistance(cue.radius, object.radius) / distance(cue, object))) * 0.999;

  const offBy = (off: number): number => {
    const shot: Shot = { table: bed, balls: [cue, object], strike: { ...stroke, direction: full + off } };
    const rest = simulate(shot, { untilSettled: objectId }).rest.find((ball) => ball.id === objectId);
    if (rest === undefined || (rest.x === object.x && rest.y === object.y)) return -Math.sign(off) * Math.PI;
    return wrapAngle(bearing(object, rest) - acceptance.middle);
  };
  if (offBy(-widest) <= 0 || offBy(widest) >= 0) return { kind: 'no-way', reason: 'too-thin' };
  const direction = wrapAngle(full + rootBetween(offBy, -widest, widest, DIRECTION_TOLERANCE));
  const shot: Shot = { table, balls, strike: { ...stroke, direction } };
  const result = simulate(shot, { paths: true });
  const potted = result.rest.some((ball) => ball.id === objectId && ball.pocket === pocket);
  return potted ? { kind: 'pots', shot, result } : { kind: 'no-way', reason: 'blocked' };
}
