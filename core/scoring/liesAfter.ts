import type { BallOnTable } from '../motion/shot.ts';
import type { LoggedShot } from '../records/loggedShot.ts';

/**
 * Where balls lie after some shots of an attempt: where they were set, but for those of which somebody tapped where a shot
 * had moved them to. Balls that fell are among them.
 * @param balls as the attempt began
 */
export function liesAfter(
  balls: readonly BallOnTable[],
  shots: readonly Pick<LoggedShot, 'moved'>[],
): readonly BallOnTable[] {
  const places = new Map(shots.flatMap(({ moved = [] }) => moved.map(({ id, x, y }) => [id, { x, y }])));
  return places.size === 0 ? balls : balls.map((ball) => ({ ...ball, ...places.get(ball.id) }));
}
