import type { BallOnTable } from '../../motion/shot.ts';
import type { ExecutionError } from '../../player/levels.ts';
import type { Table } from '../../table/table.ts';
import { seenOf } from '../../shot/kicks/seen.ts';
import { bestPotChance } from '../bestPot.ts';
import type { AcceptanceSource } from '../potOptions.ts';

/** The balls that an opponent would have to pot: the reds where a red was on, otherwise the ball that was on. */
function opponentsBalls(target: string, objects: readonly BallOnTable[]): readonly string[] {
  const ids = objects.map(({ id }) => id);
  return target.startsWith('red')
    ? ids.filter((id) => id.startsWith('red'))
    : ids.filter((id) => id === target);
}

/**
 * Whether no straight way is left to any ball that an opponent may play.
 * @param cue, objects as they lie afterwards @param target the ball that was on for the player, as it is for the opponent
 */
export function isHidden(
  table: Table,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  target: string,
): boolean {
  const theirs = opponentsBalls(target, objects);
  const position = { table, balls: [cue, ...objects], cue: cue.id };
  return theirs.length > 0 && theirs.every((id) => seenOf(position, id).usable === 0);
}

/**
 * The chance of the best pot that a position leaves to an opponent, 0…1.
 * @param error the opponent's: standard deviations of line (degrees), pace (share), tip (ball radii) and butt (degrees)
 * @param target the ball that was on for the player, as it is for the opponent
 * @param source acceptances from elsewhere, for a search that asks for thousands
 */
export function bestLeft(
  table: Table,
  error: ExecutionError,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  target: string,
  source?: AcceptanceSource,
): number {
  return bestPotChance(table, cue, objects, opponentsBalls(target, objects), error, { source });
}
