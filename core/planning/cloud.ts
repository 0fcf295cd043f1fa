import type { Point } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import type { Shot } from '../motion/shot.ts';
import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { outcomeOfShot, type ShotOutcome } from '../shot/outcome.ts';
import type { PocketName } from '../table/pockets.ts';

/** How one execution of a planned stroke ended. */
export interface Execution {
  readonly outcome: ShotOutcome;
  /** Where the cue ball came to rest; meaningless when it fell or was lost. */
  readonly landing: Point;
}

/** What the stroke was meant to do. */
export interface PotTask {
  readonly object: string;
  readonly pocket: PocketName;
}

/** Plays a stroke once, as planned or not, and says what became of it. */
export function playOnce(shot: Shot, task: PotTask): Execution {
  const { rest } = simulate(shot, { events: false });
  const cue = rest.find((ball) => ball.id === shot.strike.ball);
  if (cue === undefined) throw new RangeError(`playOnce: the shot has no ball ${shot.strike.ball}`);
  return { outcome: outcomeOfShot(rest, shot.strike.ball, task), landing: { x: cue.x, y: cue.y } };
}

/**
 * The landing cloud: how n executions of a planned stroke by a player with the given errors end.
 * @param count number of executions, ≥ 1
 * @param seed same seed, same cloud
 */
export function landingCloud(
  plan: Shot,
  task: PotTask,
  error: ExecutionError,
  count: number,
  seed: number,
): readonly Execution[] {
  const random = createRandom(seed);
  return Array.from({ length: count }, () => playOnce(executed(plan, error, random), task));
}
