import type { LeaveGrade } from '../counting/kickScore.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { potLines, potOptions } from '../planning/potOptions.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import type { VirtualPlayer } from './player.ts';

/** From these chances of the opponent's best pot on a leave is half a chance, or wide open. */
const HALF = 0.25;
const OPEN = 0.6;

/** The balls that an opponent would have to pot: the reds where a red was on, otherwise the ball that was on. */
function opponentsBalls(target: string, objects: readonly BallOnTable[]): readonly string[] {
  const ids = objects.map(({ id }) => id);
  return target.startsWith('red')
    ? ids.filter((id) => id.startsWith('red'))
    : ids.filter((id) => id === target);
}

/**
 * The chance of the best pot that a position leaves to an opponent of the same level, 0…1.
 * @param target the ball that was on for the player, as it is for the opponent
 */
export function bestLeft(
  { table, error }: VirtualPlayer,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  target: string,
): number {
  const lines = potLines(table, objects, opponentsBalls(target, objects), acceptanceNear);
  return potOptions(table, cue, lines, objects, error)[0]?.chance ?? 0;
}

/** How a leave is graded: what an opponent of the same level makes of it. */
export function leaveGrade(chance: number): LeaveGrade {
  return chance >= OPEN ? 'wide open' : chance >= HALF ? 'half a chance' : 'nothing on';
}
