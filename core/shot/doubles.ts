import { toDegrees } from '../math/angle.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import { positionAt } from '../motion/path.ts';
import type { BallOnTable, Shot, ShotEvent, ShotResult } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import type { StrokePlan } from './aim.ts';
import { directionsWhere, middleOf } from './directions.ts';

/** A ball to be potted by way of cushions. */
export interface Double {
  readonly table: Table;
  /** The struck ball first. */
  readonly balls: readonly BallOnTable[];
  readonly object: string;
  readonly pocket: PocketName;
}

/** How a double is played at one pace. */
export interface DoubleWay {
  readonly shot: Shot;
  readonly result: ShotResult;
  /** Where the object ball's centre is when it meets its first cushion, metres. */
  readonly entry: Point;
  /** Either way from the middle, degrees of the cue ball's direction. */
  readonly toleranceDeg: number;
}

const STEPS = 400;

/** Sides of the table that an object ball meets, in order; a touch of the pocket's jaws before it falls is no cushion. */
function cushionsOfObject(result: ShotResult, id: string): readonly ShotEvent[] {
  const fall = result.events.find((event) => event.kind === 'pocket' && event.id === id)?.t ?? Infinity;
  return result.events.filter(
    (event) => event.kind === 'ball-cushion' && event.id === id && event.t < fall - JAW_TIME,
  );
}

/** A ball that meets a jaw falls within this, seconds. */
const JAW_TIME = 0.12;

/** Whether cue ball and object ball meet a second time. */
export function kissesTwice(result: ShotResult, cue: string, object: string): boolean {
  const meetings = result.events.filter(
    (event) => event.kind === 'ball-ball' && event.ids.includes(cue) && event.ids.includes(object),
  );
  // Two balls that part slowly can touch more than once within the same hit.
  return meetings.some((event) => event.t > (meetings[0]?.t ?? 0) + SAME_HIT);
}
const SAME_HIT = 0.02;

/**
 * Solves a double by playing it over the whole width of the object ball: the widest stretch of directions that pots it
 * off at least one cushion without a second meeting.
 * @returns undefined when no hit does
 * @throws RangeError when a ball is missing
 */
export function solveDouble(
  { table, balls, object, pocket }: Double,
  stroke: StrokePlan,
): DoubleWay | undefined {
  const cue = balls.find(({ id }) => id === stroke.ball);
  const ball = balls.find(({ id }) => id === object);
  if (cue === undefined || ball === undefined) throw new RangeError('solveDouble: a ball is missing');
  const full = bearing(cue, ball);
  const widest =
    0.985 * Math.asin(Math.min(1, contactDistance(cue.radius, ball.radius) / distance(cue, ball)));
  const shotAt = (direction: number): Shot => ({ table, balls, strike: { ...stroke, direction } });
  const doubles = (direction: number) => {
    const result = simulate(shotAt(direction));
    return (
      result.rest.some((each) => each.id === object && each.pocket === pocket) &&
      cushionsOfObject(result, object).length > 0 &&
      !kissesTwice(result, cue.id, object)
    );
  };
  const range = directionsWhere(full - widest, full + widest, (2 * widest) / STEPS, doubles)[0];
  if (range === undefined) return undefined;
  const shot = shotAt(middleOf(range));
  const result = simulate(shot, { paths: true });
  const path = result.paths?.find(({ id }) => id === object);
  const first = cushionsOfObject(result, object)[0];
  if (path === undefined || first === undefined) return undefined;
  return {
    shot,
    result,
    entry: positionAt(path, first.t),
    toleranceDeg: toDegrees(0.5 * (range.high - range.low)),
  };
}
