import type { BallOnTable } from '../motion/shot.ts';
import type { CueingOptions } from '../player/cueing.ts';
import type { ExecutionError } from '../player/levels.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import { potLines, potOptions } from './potOptions.ts';

interface BestPotOptions extends CueingOptions {
  /** The only pockets that count; all when left out. */
  readonly pockets?: readonly PocketName[] | undefined;
}

/**
 * The chance of the best pot on a table as it lies, 0…1; 0 where none is there.
 * @param objects all object balls on the table; @param wanted the ids of those that may be potted
 */
export function bestPotChance(
  table: Table,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  wanted: readonly string[],
  error: ExecutionError,
  options: BestPotOptions = {},
): number {
  const lines = potLines(table, objects, wanted, acceptanceNear, options.pockets);
  return potOptions(table, cue, lines, objects, error, options)[0]?.chance ?? 0;
}
