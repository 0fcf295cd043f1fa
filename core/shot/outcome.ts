import type { BallAtRest } from '../motion/shot.ts';
import type { PocketName } from '../table/pockets.ts';

/**
 * What became of a shot at a pot, the worst of what happened: a ball left the table; the cue ball fell; the ball did not
 * fall where it was meant to; or it did.
 */
export const SHOT_OUTCOMES = ['potted', 'missed', 'in-off', 'lost'] as const;
export type ShotOutcome = (typeof SHOT_OUTCOMES)[number];

/** Whether a ball still lies on the cloth. */
export function isOnTable({ pocket, offTable }: Pick<BallAtRest, 'pocket' | 'offTable'>): boolean {
  return pocket === null && !offTable;
}

/**
 * What became of the cue ball, whatever else happened: it left the table, it fell, or, undefined, it lies on the cloth.
 * @throws RangeError when there is no ball of this name
 */
export function cueBallGone(rest: readonly BallAtRest[], cue: string): 'lost' | 'in-off' | undefined {
  const at = rest.find(({ id }) => id === cue);
  if (at === undefined) throw new RangeError(`cueBallGone: the shot has no ball ${cue}`);
  return at.offTable ? 'lost' : at.pocket !== null ? 'in-off' : undefined;
}

/** Whether a ball has left the table: a foul, whatever else was done. */
export function ballLost(rest: readonly BallAtRest[]): boolean {
  return rest.some(({ offTable }) => offTable);
}

/**
 * What became of a shot, by one rule wherever a shot is judged.
 * @param rest how the balls came to rest @param cue, object names of balls of the shot
 * @param pocket the one that counts
 * @throws RangeError when there is no ball of a name
 */
export function outcomeOfShot(
  rest: readonly BallAtRest[],
  cue: string,
  { object, pocket }: { readonly object: string; readonly pocket: PocketName },
): ShotOutcome {
  const gone = cueBallGone(rest, cue);
  const ball = rest.find(({ id }) => id === object);
  if (ball === undefined) throw new RangeError(`outcomeOfShot: the shot has no ball ${object}`);
  if (ballLost(rest)) return 'lost';
  if (gone !== undefined) return gone;
  return ball.pocket === pocket ? 'potted' : 'missed';
}
