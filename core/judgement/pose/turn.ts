import { executionErrorOf } from '../../player/levels.ts';
import type { KickPosition } from '../../shot/kicks/way.ts';
import type { Situation } from '../../tactics/situation.ts';
import { visitPoints } from '../../tactics/visit.ts';

/** A team player's turn against one of the same level: nine-ball on a pool table, a red is on at snooker. */
export function turnAt({ table, balls, cue }: KickPosition, on: string): Situation {
  const { game } = table.preset;
  const error = executionErrorOf('team', game);
  return {
    table,
    game: game === 'snooker' ? 'snooker' : 'nine-ball',
    balls,
    cue,
    on: [on],
    error,
    opponent: error,
    missCalled: false,
  };
}

/** What the next pot is worth: 1 at pool, points at snooker. */
export function potUnit({ table, game, opponent, balls, cue }: Situation): number {
  if (game !== 'snooker') return 1;
  return visitPoints(
    table,
    opponent,
    balls.flatMap(({ id }) => (id === cue ? [] : [id])),
  );
}
