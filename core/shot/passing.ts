import { distance, type Point } from '../math/point.ts';
import { positionAt } from '../motion/path.ts';
import type { BallOnTable, BallPath, Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';

/** Steps in which a path is looked along for its nearest point before that is narrowed down, seconds. */
const LOOK = 0.01;
const NARROW = 1e-6;

/**
 * The nearest that a moving ball's centre comes to a place, metres, and when.
 * @param from, until the stretch of time that counts, seconds
 * @param look steps in which the path is looked along, seconds: between two of them there is one nearest point
 */
export function nearestApproach(
  path: BallPath,
  from: number,
  until: number,
  place: Point,
  look = LOOK,
): { readonly t: number; readonly metres: number } {
  const away = (t: number) => distance(positionAt(path, t), place);
  let best = from;
  for (let t = from; t <= until; t += look) if (away(t) < away(best)) best = t;
  let low = Math.max(from, best - look);
  let high = Math.min(until, best + look);
  // Thirds: between two looks the distance has one lowest point.
  while (high - low > NARROW) {
    const third = (high - low) / 3;
    if (away(low + third) < away(high - third)) high -= third;
    else low += third;
  }
  const t = 0.5 * (low + high);
  return { t, metres: away(t) };
}

/**
 * By how much the cue ball passes a ball after its first hit, metres; negative by how much it would overlap it. The ball
 * in question is taken off the table for this, so that both answers are of one measure.
 * @param shot the stroke; @param obstacle the ball to be passed
 * @returns undefined when the cue ball hits nothing at all
 */
export function passingGap(shot: Shot, obstacle: BallOnTable): number | undefined {
  const without = { ...shot, balls: shot.balls.filter(({ id }) => id !== obstacle.id) };
  const result = simulate(without, { paths: true });
  const hit = result.events.find(({ kind }) => kind === 'ball-ball')?.t;
  const path = result.paths?.find(({ id }) => id === shot.strike.ball);
  const cue = shot.balls.find(({ id }) => id === shot.strike.ball);
  if (hit === undefined || path === undefined || cue === undefined) return undefined;
  const end =
    result.events.find((event) => event.kind === 'pocket' && event.id === cue.id)?.t ?? result.duration;
  return nearestApproach(path, hit, end, obstacle).metres - cue.radius - obstacle.radius;
}
