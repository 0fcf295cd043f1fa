import type { Point } from '../math/point.ts';
import type { Table } from '../table/table.ts';
import type { PositionWindow } from './window.ts';

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
