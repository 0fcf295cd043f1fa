import { CUE_BALL } from '../../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import { atStation } from '../../../core/drill/station.ts';
import { executionErrorOf } from '../../../core/player/levels.ts';
import type { Drill } from '../../../core/records/drill.ts';
import type { Table } from '../../../core/table/table.ts';
import type { KickAsked } from '../../workers/kickProtocol.ts';

/** Cushions at most where the way is the player's to find. */
const CUSHIONS = 3;
/** Whose chances are told. */
export const KICK_LEVEL = 'team';

/**
 * What is asked about the lines of a drill, by its cushions and conditions.
 * @param seed which throw of thrown balls @param attempt at whose station the cue ball lies, from 1
 * @returns undefined for one that asks for no kick, or has its cue ball in hand
 */
export function kickAskedOf(drill: Drill, table: Table, seed: number, attempt = 1): KickAsked | undefined {
  const { task, conditions } = drill;
  if (task.kind !== 'kick') return undefined;
  const balls = ballsOfSetUp(setUp(atStation(drill, attempt), table.preset, seed));
  if (!balls.some(({ id }) => id === CUE_BALL)) return undefined;
  const by = task.cushions.length === 0 ? undefined : task.cushions;
  return {
    table: { preset: table.preset, parameters: table.parameters },
    balls,
    cue: CUE_BALL,
    target: task.target,
    wish: {
      targets: [task.target],
      mostCushions: by?.length ?? CUSHIONS,
      fewestCushions: conditions.includes('cushion first') ? 1 : 0,
      cushions: by,
      noSide: conditions.includes('no side'),
    },
    error: executionErrorOf(KICK_LEVEL, table.preset.game),
  };
}
