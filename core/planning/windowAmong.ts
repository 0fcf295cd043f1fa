import { toRadians } from '../math/angle.ts';
import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { CueingOptions } from '../player/cueing.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Table } from '../table/table.ts';
import { gridOver, gridWhereItChanges } from './grid.ts';
import { ROUGH_BY, roughChance, viewOf, type PotLine } from './potOptions.ts';
import type { PositionWindow } from './grid.ts';

/** The cue ball at a place of a table. */
export function cueBallAt({ preset }: Pick<Table, 'preset'>, place: Point, id = 'cue'): BallOnTable {
  return { id, x: place.x, y: place.y, radius: preset.cueBallRadius, mass: preset.cueBallMass };
}

export interface WindowOptions extends CueingOptions {
  /** Widest distance between two points of the grid, metres. */
  readonly step?: number;
  /**
   * What the ball after asks of the place: factor 0…1 on the chance. Left out, every angle serves.
   */
  readonly serves?: (place: Point) => number;
}

const STEP = 0.02;
/** Steps so fine that nothing on the table fits between two places, metres. */
const FINE = 0.03;

/**
 * The window of one or several pots among other balls: at each place the best chance of any of them, 0 where they are
 * hidden, have no angle or cannot be cued.
 * @param lines the pots; @param balls all object balls as they will lie
 */
export function windowAmong(
  table: Table,
  lines: readonly PotLine[],
  balls: readonly BallOnTable[],
  error: ExecutionError,
  { step = STEP, serves, ...cueing }: WindowOptions = {},
): PositionWindow {
  const views = lines.map((line) => ({
    line,
    others: balls.filter((ball) => ball.id !== line.ball),
    rough: 0,
  }));
  const spread = toRadians(error.directionDeg);
  const grid = step <= FINE ? gridWhereItChanges : gridOver;
  return grid(table, step, (place) => {
    const cue = cueBallAt(table, place);
    for (const view of views) view.rough = roughChance(cue, view.line, spread);
    if (views.length > 1) views.sort((a, b) => b.rough - a.rough);
    let best = 0;
    for (const { line, others, rough } of views) {
      if (rough === 0 || best >= rough + ROUGH_BY) break;
      const { chance } = viewOf(table, cue, line, others, error, cueing);
      if (chance > best) best = chance;
    }
    return best === 0 || serves === undefined ? best : best * serves(place);
  });
}
