import type { Shot } from '../motion/shot.ts';
import { errorAsCued } from '../player/asCued.ts';
import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createRandom, type Random } from '../random/random.ts';
import type { Table } from '../table/table.ts';

/** A simulated player at a table. */
export interface VirtualPlayer {
  readonly table: Table;
  readonly error: ExecutionError;
  /** Draws the errors of its strokes, and the places that it considers. */
  readonly random: Random;
  /** Pots after the next one that it plans for; one where it is left out. */
  readonly looksAhead?: number | undefined;
}

/** A planned shot as the player plays it, with the errors that its cueing asks for. @throws RangeError without the struck ball */
export function playedBy({ error }: VirtualPlayer, plan: Shot, random: Random): Shot {
  return executed(plan, errorAsCued(plan, error), random);
}

/**
 * What a planned shot is worth as the player will play it: the mean over some executions. Their errors are the same for
 * every shot, so that shots differ by what they are and not by luck.
 * @param executions ≥ 1
 * @param worth of a played shot
 * @throws RangeError without the struck ball
 */
export function worthAsPlayed(
  player: VirtualPlayer,
  plan: Shot,
  executions: number,
  worth: (played: Shot) => number,
): number {
  const random = createRandom(1);
  let sum = 0;
  for (let k = 0; k < executions; k++) sum += worth(playedBy(player, plan, random));
  return sum / executions;
}

/** The one that is worth most, the first of equals; undefined for none. */
export function mostWorth<T>(all: readonly T[], worth: (each: T) => number): T | undefined {
  let best: { readonly each: T; readonly worth: number } | undefined;
  for (const each of all) {
    const own = worth(each);
    if (best === undefined || own > best.worth) best = { each, worth: own };
  }
  return best?.each;
}
