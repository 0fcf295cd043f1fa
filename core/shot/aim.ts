import { wrapAngle } from '../math/angle.ts';
import { bearing, distance } from '../math/point.ts';
import { rootBetween } from '../math/roots.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable, Shot, ShotResult, Strike } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { squirtTangent } from '../motion/strike.ts';
import type { PocketName } from '../table/pockets.ts';
import { withoutCushions, type Table } from '../table/table.ts';
import { acceptanceOf } from './acceptance.ts';
import { passedLeft, playImpact, prepareImpact } from './pot/impact.ts';

/** A stroke whose direction is still to be found. */
export type StrokePlan = Omit<Strike, 'direction'>;

export type Aim =
  | { readonly kind: 'pots'; readonly shot: Shot; readonly result: ShotResult }
  | { readonly kind: 'no-way'; readonly reason: 'pocket-closed' | 'too-thin' | 'blocked' };

/** Directions are solved to this, radians: far below what any player can tell. */
const DIRECTION_TOLERANCE = 1e-9;
/** A second stroke at the same ball is looked for this near to the first, as a share of the ball's whole width. */
const NEARBY = 0.04;

/** So far beside a ball a stroke that swerves is aimed at most, radians. */
export const SWERVE = 0.4;

/** Whether a stroke bends the cue ball's way: side under a raised butt. */
export function swerves({ tip, elevation }: Pick<Strike, 'tip' | 'elevation'>): boolean {
  return elevation > 0 && tip.side !== 0;
}

/** Finds the direction of strokes that send one ball off on given ways. */
export interface Aimer {
  /**
   * @param towards the object ball's wanted direction once it rolls, radians
   * @returns the direction of the stroke, radians; undefined when no cut sends the ball there
   */
  readonly solve: (stroke: StrokePlan, towards: number, tolerance?: number) => number | undefined;
  /** The stroke solved, among all balls that lie on the table; undefined when no cut sends the ball there. */
  readonly shot: (
    balls: readonly BallOnTable[],
    stroke: StrokePlan,
    towards: number,
    tolerance?: number,
  ) => Shot | undefined;
}

/**
 * Aims at a ball with the simulator itself, on an endless bed where the answer is smooth, so that throw, squirt and
 * swerve are compensated. An aimer remembers its last answer: strokes that are alike are solved in a few steps.
 */
export function createAimer(table: Table, cue: BallOnTable, object: BallOnTable): Aimer {
  const bed = withoutCushions(table);
  const balls = [cue, object];
  const full = bearing(cue, object);
  const widest =
    Math.asin(Math.min(1, contactDistance(cue.radius, object.radius) / distance(cue, object))) * 0.999;
  let last: number | undefined;

  /** On which side a stroke that misses passes: a ball that swerves may come round to the other. */
  function passesOnLeft(stroke: StrokePlan, off: number): boolean {
    if (!swerves(stroke)) return off > 0;
    const { tip, speed, elevation } = stroke;
    prepareImpact(table, cue, object);
    const leaves = off + Math.atan(squirtTangent(tip.side, cue.mass, table.parameters.endMass));
    playImpact(table, { ...tip, speed, elevation, direction: 0, sent: 0, spin: 0 }, leaves, false);
    return passedLeft();
  }

  const aimer: Aimer = {
    solve(stroke, towards, tolerance = DIRECTION_TOLERANCE) {
      const offBy = (off: number): number => {
        const shot: Shot = { table: bed, balls, strike: { ...stroke, direction: full + off } };
        const rest = simulate(shot, { untilSettled: object.id, events: false }).rest[1];
        if (rest === undefined || (rest.x === object.x && rest.y === object.y)) {
          return passesOnLeft(stroke, off) ? -Math.PI : Math.PI;
        }
        return wrapAngle(bearing(object, rest) - towards);
      };
      const bracket = bracketOf(offBy, swerves(stroke) ? widest + SWERVE : widest, last);
      if (bracket === undefined) return undefined;
      last = rootBetween(offBy, bracket[0], bracket[1], tolerance);
      return wrapAngle(full + last);
    },
    shot(all, stroke, towards, tolerance) {
      const direction = aimer.solve(stroke, towards, tolerance);
      return direction === undefined ? undefined : { table, balls: all, strike: { ...stroke, direction } };
    },
  };
  return aimer;
}

/** Two directions, as angles off the full line, that send the ball to either side of where it should go. */
function bracketOf(
  offBy: (off: number) => number,
  widest: number,
  guess: number | undefined,
): readonly [number, number] | undefined {
  if (guess !== undefined) {
    const low = Math.max(-widest, guess - NEARBY * widest);
    const high = Math.min(widest, guess + NEARBY * widest);
    if (offBy(low) > 0 && offBy(high) < 0) return [low, high];
  }
  return offBy(-widest) > 0 && offBy(widest) < 0 ? [-widest, widest] : undefined;
}

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
 * @param pocketSide part of the pocket: −1 the low edge of what falls, 0 its middle, 1 the high edge
 * @throws RangeError for an unknown ball or pocket, InvalidShotError for a stroke that cannot be played
 */
export function aimToPot(
  table: Table,
  balls: readonly BallOnTable[],
  stroke: StrokePlan,
  objectId: string,
  pocket: PocketName,
  pocketSide = 0,
): Aim {
  const cue = ballNamed(balls, stroke.ball);
  const object = ballNamed(balls, objectId);
  const acceptance = acceptanceOf(table, object, pocket);
  if (acceptance === undefined) return { kind: 'no-way', reason: 'pocket-closed' };
  const shot = createAimer(table, cue, object).shot(
    balls,
    stroke,
    acceptance.middle + 0.5 * pocketSide * (acceptance.high - acceptance.low),
  );
  if (shot === undefined) return { kind: 'no-way', reason: 'too-thin' };
  const result = simulate(shot, { paths: true });
  const potted = result.rest.some((ball) => ball.id === objectId && ball.pocket === pocket);
  return potted ? { kind: 'pots', shot, result } : { kind: 'no-way', reason: 'blocked' };
}
