import { bestPotChance } from './bestPot.ts';
import type { Shot } from '../motion/shot.ts';
import { ballLost } from '../shot/outcome.ts';
import { wrapAngle } from '../math/angle.ts';
import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { leftOnTable, type Aims } from './aftermath.ts';

/** What misses to one side leave. */
export interface MissedTo {
  /** Share of all executions. */
  readonly share: number;
  /** Chance of the opponent's best pot afterwards, in the mean over these misses; undefined when there were none. */
  readonly leaves: number | undefined;
}

/** Misses told apart by the side on which the object ball passes the pocket, as the player sees it. */
export interface MissSides {
  readonly thick: MissedTo;
  readonly thin: MissedTo;
  /** The side on which a miss costs less, when the data tell it. */
  readonly safer: 'thick' | 'thin' | undefined;
  /** Whether both sides were missed to often enough to be judged. */
  readonly enough: boolean;
}

/** Leaves nearer to each other than this are alike. */
const ALIKE = 0.05;
/** So many misses are needed on a side before it is judged. */
const FEWEST = 12;

/**
 * The safe side to miss: executions that miss are sorted by whether the cue ball came fuller onto the ball than planned
 * or thinner, and what each leaves to an opponent of the same level is looked at, the missed ball among the balls on.
 * @param shot as planned; @param aims the pot and the balls on afterwards
 * @param error of the player, standard deviations; @param count executions, 1 or more; @param seed same seed, same answer
 * @returns shares and chances 0…1; the side is judged from twelve misses to each on, when the leaves differ by 0.05
 * @throws RangeError when the cue ball or the object ball is not on the table
 */
export function missSides(
  shot: Shot,
  aims: Aims,
  error: ExecutionError,
  count: number,
  seed: number,
): MissSides {
  const random = createRandom(seed);
  const cue = shot.balls.find(({ id }) => id === shot.strike.ball);
  const object = shot.balls.find(({ id }) => id === aims.task.object);
  if (cue === undefined || object === undefined) throw new RangeError('missSides: a ball is missing');
  const full = Math.atan2(object.y - cue.y, object.x - cue.x);
  const plannedOff = Math.abs(wrapAngle(shot.strike.direction - full));
  const leaves = { thick: [] as number[], thin: [] as number[] };
  const wanted = [aims.task.object, ...aims.wanted.balls];
  for (let k = 0; k < count; k++) {
    const played = executed(shot, error, random);
    const { rest } = simulate(played, { events: false });
    if (rest.some(({ id, pocket }) => id === aims.task.object && pocket !== null)) continue;
    const side = Math.abs(wrapAngle(played.strike.direction - full)) < plannedOff ? 'thick' : 'thin';
    const left = leftOnTable(shot.balls, rest);
    const at = left.find(({ id }) => id === cue.id);
    const objects = left.filter(({ id }) => id !== cue.id);
    // An in-off, or a ball off the table, gives the opponent the cue ball in hand.
    const foul = at === undefined || ballLost(rest);
    const best = foul ? 1 : bestPotChance(shot.table, at, objects, wanted, aims.error);
    leaves[side].push(best);
  }
  const sum = (values: readonly number[]): MissedTo => ({
    share: values.length / count,
    leaves: values.length === 0 ? undefined : values.reduce((a, b) => a + b, 0) / values.length,
  });
  const [thick, thin] = [sum(leaves.thick), sum(leaves.thin)];
  const enough = leaves.thick.length >= FEWEST && leaves.thin.length >= FEWEST;
  const difference = (thick.leaves ?? 0) - (thin.leaves ?? 0);
  const safer = !enough || Math.abs(difference) < ALIKE ? undefined : difference < 0 ? 'thick' : 'thin';
  return { thick, thin, safer, enough };
}
