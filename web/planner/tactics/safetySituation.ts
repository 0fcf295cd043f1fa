import { gameOf } from '../../../core/drill/gameOf.ts';
import { CUE_BALL } from '../../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import { atStation } from '../../../core/drill/station.ts';
import { executionErrorOf, type LevelName } from '../../../core/player/levels.ts';
import { opponentError } from '../../../core/player/opponent.ts';
import type { Drill } from '../../../core/records/drill.ts';
import type { Situation } from '../../../core/tactics/situation.ts';
import type { Table } from '../../../core/table/table.ts';

/** Whose answers are told of a drill. */
export const SAFETY_LEVEL: LevelName = 'team';

/**
 * Whose turn it is at what in a safety drill: a team player's against the drill's opponent.
 * @param seed which throw of thrown balls @param attempt at whose station the cue ball lies, from 1
 * @returns undefined for another kind of drill, or one with its cue ball in hand
 */
export function safetySituation(
  drill: Drill,
  table: Table,
  seed: number,
  attempt = 1,
): Situation | undefined {
  const { task } = drill;
  const game = gameOf(drill);
  if (task.kind !== 'safety' || game === undefined) return undefined;
  const balls = ballsOfSetUp(setUp(atStation(drill, attempt), table.preset, seed));
  if (!balls.some(({ id }) => id === CUE_BALL)) return undefined;
  const { scoring } = drill;
  const isRed = task.target.startsWith('red');
  return {
    table,
    game,
    balls,
    cue: CUE_BALL,
    // At snooker any red will do.
    on: balls.flatMap(({ id }) => (id === task.target || (isRed && id.startsWith('red')) ? [id] : [])),
    error: executionErrorOf(SAFETY_LEVEL, table.preset.game),
    opponent: opponentError(drill, table.preset.game),
    missCalled: scoring.method === 'kick' && scoring.penalty > 0,
  };
}
