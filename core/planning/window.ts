import { toRadians } from '../math/angle.ts';
import type { Point } from '../math/point.ts';
import { executionErrorOf, type LevelName } from '../player/levels.ts';
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
  const radius = table.preset.cueBallRadius;
  const spanX = table.length - 2 * radius;
  const spanY = table.width - 2 * radius;
  const columns = Math.ceil(spanX / GRID_STEP) + 1;
  const rows = Math.ceil(spanY / GRID_STEP) + 1;
  const dx = spanX / (columns - 1);
  const dy = spanY / (rows - 1);
  const chances = new Float32Array(columns * rows);
  const acceptance = acceptanceOf(table, object, pocket);
  if (acceptance !== undefined) {
    const error = toRadians(executionErrorOf(level, table.preset.game).directionDeg);
    for (let j = 0; j < rows; j++) {
      for (let i = 0; i < columns; i++) {
        const cue = { x: radius + i * dx, y: radius + j * dy };
        chances[j * columns + i] = potChance(table, cue, { object, acceptance }, error);
      }
    }
  }
  return { columns, rows, x0: radius, y0: radius, dx, dy, chances };
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
