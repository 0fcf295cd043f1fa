import type { Shot } from '../motion/shot.ts';
import { errorAsCued } from '../player/asCued.ts';
import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Random } from '../random/random.ts';
import type { Table } from '../table/table.ts';

/** A simulated player at a table. */
export interface VirtualPlayer {
  readonly table: Table;
  readonly error: ExecutionError;
  /** Draws the errors of its strokes, and the places that it considers. */
  readonly random: Random;
}

/** A planned shot as the player plays it, with the errors that its cueing asks for. @throws RangeError without the struck ball */
export function playedBy({ error }: VirtualPlayer, plan: Shot, random: Random): Shot {
  return executed(plan, errorAsCued(plan, error), random);
}
