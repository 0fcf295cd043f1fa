import type { Point } from '../math/point.ts';
import type { Table } from '../table/table.ts';
import type { PositionWindow } from './window.ts';

/**
 * Values over all places that the cue ball's centre can take.
 * @param step widest distance between two points, metres, > 0
 * @param value called once for each point, row by row
 */
export function gridOver(
  { preset, length, width }: Pick<Table, 'preset' | 'length' | 'width'>,
  step: number,
  value: (place: Point) => number,
): PositionWindow {
  const radius = preset.cueBallRadius;
  const spanX = length - 2 * radius;
  const spanY = width - 2 * radius;
  const columns = Math.ceil(spanX / step) + 1;
  const rows = Math.ceil(spanY / step) + 1;
  const dx = spanX / (columns - 1);
  const dy = spanY / (rows - 1);
  const chances = new Float32Array(columns * rows);
  for (let j = 0; j < rows; j++) {
    for (let i = 0; i < columns; i++) {
      chances[j * columns + i] = value({ x: radius + i * dx, y: radius + j * dy });
    }
  }
  return { columns, rows, x0: radius, y0: radius, dx, dy, chances };
}
