import { CUE_BALL } from '../drill/layout.ts';
import { distance } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { LoggedShot } from '../records/loggedShot.ts';

/** A ball that lies this near to where it lay was not moved, metres: what a look at it is off by. */
const STAYED = 0.02;

/** What a shot did, as far as places tell it. */
export type ShotRead = Pick<LoggedShot, 'potted' | 'landing' | 'inOff'> & Partial<Pick<LoggedShot, 'moved'>>;

/**
 * Reads a shot from where the balls lay before it and where they lie after it.
 * @param before object balls that were on the table, where they lay as far as is known, metres
 * @param after all balls that lie there now, the cue ball among them unless it fell, metres
 * @throws RangeError that names a ball that was not there before
 */
export function shotFromPlaces(before: readonly BallOnTable[], after: readonly BallOnTable[]): ShotRead {
  const cue = after.find(({ id }) => id === CUE_BALL);
  const objects = after.filter((ball) => ball !== cue);
  const strange = objects.find(({ id }) => before.every((ball) => ball.id !== id));
  if (strange !== undefined) throw new RangeError(`the ${strange.id} was not on the table`);
  const moved = objects.flatMap(({ id, x, y }) => {
    const lay = before.find((ball) => ball.id === id);
    return lay === undefined || distance(lay, { x, y }) > STAYED ? [{ id, x, y }] : [];
  });
  return {
    potted: before.filter(({ id }) => objects.every((ball) => ball.id !== id)).map(({ id }) => id),
    landing: cue === undefined ? null : { x: cue.x, y: cue.y },
    inOff: cue === undefined,
    ...(moved.length === 0 ? {} : { moved }),
  };
}
