import { toRadians } from '../math/angle.ts';
import type { Strike } from '../motion/shot.ts';
import { MISCUE_OFFSET } from '../motion/strike.ts';
import type { Random } from '../random/random.ts';
import type { ExecutionError } from './levels.ts';

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
