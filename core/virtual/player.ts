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
