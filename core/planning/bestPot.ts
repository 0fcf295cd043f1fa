import { toRadians } from '../math/angle.ts';
import { distance } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { CueingOptions } from '../player/cueing.ts';
import type { ExecutionError } from '../player/levels.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import { isClear } from '../shot/corridor.ts';
import { contactFor } from '../shot/cut.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import { potLines, ROUGH_BY, roughChance, viewOf, type AcceptanceSource } from './potOptions.ts';

interface BestPotOptions extends CueingOptions {
  /** The only pockets that count; all when left out. */
  readonly pockets?: readonly PocketName[] | undefined;
  /** Acceptances that are known already, or can be had from elsewhere. */
  readonly source?: AcceptanceSource | undefined;
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
  const spread = toRadians(error.directionDeg);
  const looks = potLines(table, objects, wanted, options.source ?? acceptanceNear, options.pockets)
    .map((line) => ({ line, rough: roughChance(cue, line, spread) }))
    .sort((a, b) => b.rough - a.rough);
  let best = 0;
  for (const { line, rough } of looks) {
    if (rough === 0 || best >= rough + ROUGH_BY) break;
    const others = objects.filter(({ id }) => id !== line.ball);
    best = Math.max(best, viewOf(table, cue, line, others, error, options).chance);
  }
  return best;
}

/**
 * The same chance, 0…1, by plain geometry (see roughChance): what can be seen, and about how likely
 * it is; how the cue ball can be struck is left out. At most ROUGH_BY below the real one. Arguments as above.
 * @param source acceptances that are known already, or can be had from elsewhere
 */
export function roughPotChance(
  table: Table,
  cue: BallOnTable,
  objects: readonly BallOnTable[],
  wanted: readonly string[],
  error: ExecutionError,
  source: AcceptanceSource = acceptanceNear,
): number {
  const spread = toRadians(error.directionDeg);
  let best = 0;
  for (const line of potLines(table, objects, wanted, source)) {
    const rough = roughChance(cue, line, spread);
    if (rough <= best) continue;
    const { object, acceptance } = line;
    if (distance(cue, object) < contactDistance(cue.radius, object.radius)) continue;
    const contact = contactFor(object, acceptance.middle, cue.radius, object.radius);
    const others = objects.filter(({ id }) => id !== line.ball);
    if (isClear(cue, contact, cue.radius, others)) best = rough;
  }
  return best;
}
