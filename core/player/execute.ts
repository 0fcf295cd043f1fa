import { toRadians } from '../math/angle.ts';
import type { Shot, Strike } from '../motion/shot.ts';
import { MISCUE_OFFSET, squirtTangent } from '../motion/strike.ts';
import type { Random } from '../random/random.ts';
import type { ExecutionError } from './levels.ts';

/** How far a stroke is off, each in standard deviations of the player's. */
export interface Draws {
  readonly line: number;
  readonly pace: number;
  readonly side: number;
  readonly height: number;
  readonly elevation: number;
}

/** Draws the errors of a stroke. */
export function drawErrors(random: Random): Draws {
  return {
    line: random.normal(),
    pace: random.normal(),
    side: random.normal(),
    height: random.normal(),
    elevation: random.normal(),
  };
}

/**
 * A planned shot as a player with the given errors plays it. The error of direction is that of the line on which the cue
 * ball leaves: an error of the tip changes the spin only, so its squirt is taken out again.
 * @throws RangeError when the struck ball is not on the table
 */
export function executed(shot: Shot, error: ExecutionError, random: Random): Shot {
  return executedWith(shot, error, drawErrors(random));
}

/** The same with errors that are known. @throws RangeError when the struck ball is not on the table */
export function executedWith(shot: Shot, error: ExecutionError, draws: Draws): Shot {
  const { strike, balls, table } = shot;
  const ball = balls.find(({ id }) => id === strike.ball);
  if (ball === undefined) throw new RangeError(`executed: there is no ball ${strike.ball}`);
  const played = strikeWith(strike, error, draws);
  const squirt = (side: number) => Math.atan(squirtTangent(side, ball.mass, table.parameters.endMass));
  const direction = played.direction + squirt(strike.tip.side) - squirt(played.tip.side);
  return { ...shot, strike: { ...played, direction } };
}

/** However badly a stroke fails, the ball is touched: least share of the planned speed. */
const LEAST_SPEED = 0.05;

/**
 * One execution of a planned stroke by a player with the given errors: direction, speed, tip and elevation each
 * off by a normal error. A tip past the miscue limit is taken at the limit, a butt below level as level.
 */
export function execute(plan: Strike, error: ExecutionError, random: Random): Strike {
  return strikeWith(plan, error, drawErrors(random));
}

function strikeWith(plan: Strike, error: ExecutionError, draws: Draws): Strike {
  const direction = plan.direction + toRadians(error.directionDeg) * draws.line;
  const speed = plan.speed * Math.max(LEAST_SPEED, 1 + error.speed * draws.pace);
  const side = plan.tip.side + error.tip * draws.side;
  const height = plan.tip.height + error.tip * draws.height;
  const elevation = Math.max(0, plan.elevation + toRadians(error.elevationDeg) * draws.elevation);
  const offset = Math.hypot(side, height);
  const shrink = offset > MISCUE_OFFSET ? MISCUE_OFFSET / offset : 1;
  return {
    ...plan,
    direction,
    speed,
    tip: { side: side * shrink, height: height * shrink },
    elevation: Math.min(elevation, Math.PI / 2),
  };
}
