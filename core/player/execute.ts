import { toRadians } from '../math/angle.ts';
import type { Shot, Strike } from '../motion/shot.ts';
import { MISCUE_OFFSET, squirtTangent } from '../motion/strike.ts';
import type { Random } from '../random/random.ts';
import type { ExecutionError } from './levels.ts';

/**
 * A planned shot as a player with the given errors plays it. The error of direction is that of the line on which the cue
 * ball leaves: an error of the tip changes the spin only, so its squirt is taken out again.
 * @throws RangeError when the struck ball is not on the table
 */
export function executed(shot: Shot, error: ExecutionError, random: Random): Shot {
  const { strike, balls, table } = shot;
  const ball = balls.find(({ id }) => id === strike.ball);
  if (ball === undefined) throw new RangeError(`executed: there is no ball ${strike.ball}`);
  const played = execute(strike, error, random);
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
  const direction = plan.direction + toRadians(error.directionDeg) * random.normal();
  const speed = plan.speed * Math.max(LEAST_SPEED, 1 + error.speed * random.normal());
  const side = plan.tip.side + error.tip * random.normal();
  const height = plan.tip.height + error.tip * random.normal();
  const elevation = Math.max(0, plan.elevation + toRadians(error.elevationDeg) * random.normal());
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
