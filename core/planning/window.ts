import { toRadians } from '../math/angle.ts';
import type { Point } from '../math/point.ts';
import { type LevelName, executionErrorOf } from '../player/levels.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { potChance } from '../shot/potChance.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import { type PositionWindow, gridOver } from './grid.ts';

/** Widest distance between two points of the grid, metres: less than half a ball. */
const GRID_STEP = 0.02;

/**
 * Computes the window of a ball into a pocket for a level of player.
 * @param object centre of the ball to be potted, metres
 */
export function positionWindow(
  table: Table,
  object: Point,
  pocket: PocketName,
  level: LevelName,
): PositionWindow {
  const acceptance = acceptanceOf(table, object, pocket);
  const error = toRadians(executionErrorOf(level, table.preset.game).directionDeg);
  return gridOver(table, GRID_STEP, (cue) =>
    acceptance === undefined ? 0 : potChance(table, cue, { object, acceptance }, error),
  );
}
