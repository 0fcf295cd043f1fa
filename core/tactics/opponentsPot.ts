import type { BallOnTable } from '../motion/shot.ts';
import { potLines, potOptions, type PotOption } from '../planning/potOptions.ts';
import { acceptanceAbout } from '../shot/acceptanceNear.ts';
import type { Situation } from './situation.ts';
import { onForOpponent } from './turns.ts';

/**
 * The likeliest pot that a table leaves to the opponent.
 * @param left the balls on the table afterwards @returns undefined where none is there, or the cue ball is not
 */
export function opponentsPot(
  { table, game, on, cue: cueId, opponent }: Situation,
  left: readonly BallOnTable[],
): PotOption | undefined {
  const cue = left.find(({ id }) => id === cueId);
  if (cue === undefined) return undefined;
  const objects = left.filter((ball) => ball !== cue);
  const theirs = onForOpponent(
    game,
    on,
    objects.map(({ id }) => id),
  );
  return potOptions(table, cue, potLines(table, objects, theirs, acceptanceAbout), objects, opponent)[0];
}
