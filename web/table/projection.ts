import type { Point } from '../../core/math/point.ts';
import type { Table } from '../../core/table/table.ts';

export type Orientation = 'landscape' | 'portrait';

/** Depth of the cushions behind the nose and width of the wooden rail, as drawn, metres. */
export const CUSHION_DEPTH = 0.052;
const WOOD = 0.1;

/** From metres on the cloth to millimetres in the drawing and back. */
export interface Projection {
  readonly table: Table;
  readonly orientation: Orientation;
  /** The drawing's size, millimetres. */
  readonly width: number;
  readonly height: number;
  toDrawing(place: Point): readonly [number, number];
  toCloth(u: number, v: number): Point;
}

/** The head end lies on the left with y upwards; in portrait it lies at the bottom. */
export function projectionOf(table: Table, orientation: Orientation): Projection {
  const margin = 1000 * (CUSHION_DEPTH + WOOD);
  const long = 1000 * table.length + 2 * margin;
  const short = 1000 * table.width + 2 * margin;
  if (orientation === 'landscape') {
    return {
      table,
      orientation,
      width: long,
      height: short,
      toDrawing: ({ x, y }) => [margin + 1000 * x, short - margin - 1000 * y],
      toCloth: (u, v) => ({ x: (u - margin) / 1000, y: (short - margin - v) / 1000 }),
    };
  }
  return {
    table,
    orientation,
    width: short,
    height: long,
    toDrawing: ({ x, y }) => [short - margin - 1000 * y, long - margin - 1000 * x],
    toCloth: (u, v) => ({ x: (long - margin - v) / 1000, y: (short - margin - u) / 1000 }),
  };
}

/** Points as the text of an SVG path. */
export function pathText(projection: Projection, points: readonly Point[], closed = false): string {
  const text = points
    .map((point, i) => {
      const [u, v] = projection.toDrawing(point);
      return `${i === 0 ? 'M' : 'L'}${u.toFixed(1)} ${v.toFixed(1)}`;
    })
    .join('');
  return closed ? `${text}Z` : text;
}
