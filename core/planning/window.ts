import { toRadians } from '../math/angle.ts';
import type { Point } from '../math/point.ts';
import { executionErrorOf, type LevelName } from '../player/levels.ts';
import { gridOver } from './grid.ts';
import { acceptanceOf } from '../shot/acceptance.ts';
import { potChance } from '../shot/potChance.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';

/**
 * The window of a ball: how likely it is to be potted from every place of the table. The chances stand on a grid
 * over the places that the cue ball's centre can take; what is drawn and what is scored both come from this grid.
 */
export interface PositionWindow {
  readonly columns: number;
  readonly rows: number;
  /** Place of the grid's first point and the distance from one to the next, metres. */
  readonly x0: number;
  readonly y0: number;
  readonly dx: number;
  readonly dy: number;
  /** Chance 0…1 at column i, row j, stored at j·columns + i. */
  readonly chances: Float32Array;
}

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

/** The chance at a place, between the grid's points bilinear, beyond its edge as on the edge. */
export function chanceAt(window: PositionWindow, place: Point): number {
  const { columns, rows } = window;
  const u = Math.min(columns - 1, Math.max(0, (place.x - window.x0) / window.dx));
  const v = Math.min(rows - 1, Math.max(0, (place.y - window.y0) / window.dy));
  const i = Math.min(columns - 2, Math.floor(u));
  const j = Math.min(rows - 2, Math.floor(v));
  const at = (column: number, row: number) => window.chances[row * columns + column]!;
  const s = u - i;
  const t = v - j;
  return (
    (1 - t) * ((1 - s) * at(i, j) + s * at(i + 1, j)) + t * ((1 - s) * at(i, j + 1) + s * at(i + 1, j + 1))
  );
}
