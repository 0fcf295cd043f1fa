import { bestPotChance } from './bestPot.ts';
import { distance, type Point } from '../math/point.ts';
import { simulate } from '../motion/simulate.ts';
import type { BallAtRest, BallOnTable, Shot } from '../motion/shot.ts';
import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { CueingOptions } from '../player/cueing.ts';
import { createRandom, type Random } from '../random/random.ts';
import { isOnTable, outcomeOfShot, type ShotOutcome } from '../shot/outcome.ts';
import { wilson, type ShareInterval } from '../statistics/wilson.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import type { PotTask } from './cloud.ts';
import { chanceAt, type PositionWindow } from './grid.ts';

/** Which pots the shot is to leave. */
export interface Wanted {
  /** Balls of which one is to be on next. */
  readonly balls: readonly string[];
  /** The only pockets that count; all when left out. */
  readonly pockets?: readonly PocketName[];
}

/** What a position shot is judged by. */
export interface Aims extends CueingOptions {
  readonly task: PotTask;
  readonly wanted: Wanted;
  /** Chances of the wanted pots while all other balls lie where they are (see windowAmong). */
  readonly window: PositionWindow;
  readonly error: ExecutionError;
  /** From this chance on the player is "on" the next ball, 0…1. */
  readonly confidence: number;
}

/** How one execution left the table. */
export interface Aftermath {
  readonly outcome: ShotOutcome;
  readonly landing: Point;
  /** Chance of the next pot from there; 0 unless potted. */
  readonly next: number;
  /** A ball that was to be left alone was moved. */
  readonly disturbed: boolean;
}

/** A ball that moved less than this lies where it was, metres: nobody sees it. */
const MOVED = 0.001;

/** The balls of a shot that are still on the table, where they lie now. */
export function leftOnTable(
  balls: readonly BallOnTable[],
  rest: readonly BallAtRest[],
): readonly BallOnTable[] {
  return balls.flatMap((ball, i) => {
    const at = rest[i];
    return at === undefined || !isOnTable(at) ? [] : [{ ...ball, x: at.x, y: at.y }];
  });
}

/** Plays a stroke and looks at what it leaves. @throws RangeError when the task's ball is not on the table */
export function aftermathOf(shot: Shot, aims: Aims): Aftermath {
  const { rest } = simulate(shot, { events: false });
  const cue = rest.find(({ id }) => id === shot.strike.ball);
  const object = rest.find(({ id }) => id === aims.task.object);
  if (cue === undefined || object === undefined) {
    throw new RangeError(`aftermathOf: there is no ball ${aims.task.object}`);
  }
  const disturbed = rest.some((at, i) => {
    if (at === cue || at === object) return false;
    const from = shot.balls[i];
    return !isOnTable(at) || (from !== undefined && distance(at, from) > MOVED);
  });
  const landing = { x: cue.x, y: cue.y };
  const outcome = outcomeOfShot(rest, cue.id, aims.task);
  if (outcome !== 'potted') return { outcome, landing, next: 0, disturbed };
  const next = disturbed
    ? bestNext(shot.table, leftOnTable(shot.balls, rest), shot.strike.ball, aims)
    : chanceAt(aims.window, landing);
  return { outcome, landing, next, disturbed };
}

/** The best wanted pot on a table as it lies, for shots that moved what the window was computed with. */
function bestNext(table: Table, balls: readonly BallOnTable[], cueId: string, aims: Aims): number {
  const cue = balls.find(({ id }) => id === cueId);
  const objects = balls.filter(({ id }) => id !== cueId);
  if (cue === undefined) return 0;
  const { balls: wanted, pockets } = aims.wanted;
  return bestPotChance(table, cue, objects, wanted, aims.error, { ...aims, pockets });
}

/** What many executions of a stroke come to. */
export interface Assessment {
  readonly executions: number;
  /** Share in which the ball fell and the next pot's chance: the chance of both. */
  readonly chance: number;
  /** Standard error of `chance`. */
  readonly chanceError: number;
  readonly potted: ShareInterval;
  /** The cue ball fell, or a ball left the table. */
  readonly inOff: ShareInterval;
  /** Potted, and on the next ball with the confidence that was asked for. */
  readonly on: ShareInterval;
  /** A ball was moved that was to be left alone. */
  readonly disturbed: ShareInterval;
  readonly landings: readonly Aftermath[];
}

/** Sums up executions. @param landings at least one */
export function assess(landings: readonly Aftermath[], confidence: number): Assessment {
  const n = landings.length;
  const count = (holds: (each: Aftermath) => boolean) => wilson(landings.filter(holds).length, n);
  const mean = landings.reduce((sum, { next }) => sum + next, 0) / n;
  const variance = landings.reduce((sum, { next }) => sum + (next - mean) ** 2, 0) / Math.max(1, n - 1);
  return {
    executions: n,
    chance: mean,
    chanceError: Math.sqrt(variance / n),
    potted: count(({ outcome }) => outcome === 'potted'),
    inOff: count(({ outcome }) => outcome === 'in-off' || outcome === 'lost'),
    on: count(({ next }) => next >= confidence),
    disturbed: count((each) => each.disturbed),
    landings,
  };
}

/**
 * Executes a planned stroke many times with a player's errors.
 * @param count executions, ≥ 1; @param random same stream, same landings
 */
export function executeMany(shot: Shot, aims: Aims, error: ExecutionError, count: number, random: Random) {
  return Array.from({ length: count }, () => aftermathOf(executed(shot, error, random), aims));
}

/** The assessment of a planned stroke: same seed, same answer. */
export function assessStroke(
  shot: Shot,
  aims: Aims,
  error: ExecutionError,
  count: number,
  seed: number,
): Assessment {
  return assess(executeMany(shot, aims, error, count, createRandom(seed)), aims.confidence);
}
