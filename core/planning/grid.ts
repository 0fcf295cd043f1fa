import type { Point } from '../math/point.ts';
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

type Extent = Pick<Table, 'preset' | 'length' | 'width'>;

/**
 * A grid of zeros over all places that the cue ball's centre can take, from cushion to cushion.
 * @param step widest distance between two points, metres, > 0
 */
export function emptyGrid({ preset, length, width }: Extent, step: number): PositionWindow {
  const radius = preset.cueBallRadius;
  const spanX = length - 2 * radius;
  const spanY = width - 2 * radius;
  const columns = Math.ceil(spanX / step) + 1;
  const rows = Math.ceil(spanY / step) + 1;
  return {
    columns,
    rows,
    x0: radius,
    y0: radius,
    dx: spanX / (columns - 1),
    dy: spanY / (rows - 1),
    chances: new Float32Array(columns * rows),
  };
}

/** The place of a grid's point, metres. @param index in the order of its chances, row by row */
export function placeOnGrid({ columns, x0, y0, dx, dy }: PositionWindow, index: number): Point {
  return { x: x0 + (index % columns) * dx, y: y0 + Math.floor(index / columns) * dy };
}

/**
 * Values over all places that the cue ball's centre can take.
 * @param step widest distance between two points, metres, > 0
 * @param value called once for each point, row by row
 */
export function gridOver(table: Extent, step: number, value: (place: Point) => number): PositionWindow {
  const grid = emptyGrid(table, step);
  for (let k = 0; k < grid.chances.length; k++) grid.chances[k] = value(placeOnGrid(grid, k));
  return grid;
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
