import { CUE_BALL } from '../drill/layout.ts';
import { ballsOfSetUp, setUp } from '../drill/setUp.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { AttemptLog } from '../records/attempt.ts';
import type { Drill } from '../records/drill.ts';
import type { TablePreset } from '../table/preset.ts';
import { ballsSet } from './countAttempt.ts';

/** Where balls lay when an attempt began. */
export interface AttemptLayout {
  readonly balls: readonly BallOnTable[];
  /** Undefined when the cue ball was in hand. */
  readonly cue: BallOnTable | undefined;
}

/**
 * Where the balls lay when an attempt began: as the drill sets them, the thrown ones by the attempt's seed or where the
 * coach moved them.
 * @param drill as it is played at the stage; @param seed of the round, for attempts without one of their own
 */
export function layoutOfAttempt(
  drill: Drill,
  preset: TablePreset,
  log: Pick<AttemptLog, 'seed' | 'set' | 'places'>,
  seed: number,
): AttemptLayout {
  const layout = ballsOfSetUp(setUp(drill, preset, log.seed ?? seed));
  const up = ballsSet(drill, log.set);
  return {
    balls: layout
      .filter(({ id }) => up.includes(id))
      .map((ball) => ({ ...ball, ...log.places?.find(({ id }) => id === ball.id) })),
    cue: layout.find(({ id }) => id === CUE_BALL),
  };
}
