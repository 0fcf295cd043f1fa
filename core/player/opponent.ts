import type { Game } from '../table/preset.ts';
import { executionErrorOf, type ExecutionError, type LevelName } from './levels.ts';

/**
 * Whom a leave is judged by where the drill names nobody. The opponent is the same whoever plays: by one of their own
 * level a better player's leave would look worse.
 */
export const USUAL_OPPONENT: LevelName = 'team';

/** Whether anything of a drill depends on what is left to the opponent. */
export function judgesLeave({
  task,
  scoring,
}: {
  readonly task: { readonly kind: string; readonly leave?: string | undefined };
  readonly scoring: { readonly method: string };
}): boolean {
  return task.kind === 'safety' || task.leave !== undefined || scoring.method === 'kick';
}

/** The level of the opponent that a drill's leaves are judged by. */
export function opponentLevel({ opponent }: { readonly opponent?: LevelName | undefined }): LevelName {
  return opponent ?? USUAL_OPPONENT;
}

/** How that opponent's strokes stray: standard deviations of line (degrees), pace (share), tip (ball radii), butt (degrees). */
export function opponentError(
  drill: { readonly opponent?: LevelName | undefined },
  game: Game,
): ExecutionError {
  return executionErrorOf(opponentLevel(drill), game);
}
