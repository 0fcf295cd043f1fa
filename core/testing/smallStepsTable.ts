import type { Table } from '../table/table.ts';
import type { Vector } from './vectors.ts';

/** The cushion a ball has run into, in plan. */
export interface Nearest {
  /** From the rubber into the table. */
  readonly normal: Vector;
  /** How far the ball is through, metres. */
  readonly depth: number;
}

/** A ball this near to the middle of a pocket's mouth is left to the tests of pockets, metres. */
const MOUTH = 0.17;

/** What a ball at a place has run into: a straight cushion, the neighbourhood of a pocket, or nothing. */
export function nearestBehind(table: Table, at: Vector, radius: number): Nearest | 'pocket' | undefined {
  if (table.pieces.length === 0) return undefined;
  const above = table.parameters.noseHeight - radius;
  const reach = Math.sqrt(radius * radius - above * above);
  const depths: Nearest[] = [
    { normal: [1, 0, 0], depth: reach - at[0] },
    { normal: [-1, 0, 0], depth: at[0] - table.length + reach },
    { normal: [0, 1, 0], depth: reach - at[1] },
    { normal: [0, -1, 0], depth: at[1] - table.width + reach },
  ];
  const through = depths.find(({ depth }) => depth > 0);
  if (through === undefined) return undefined;
  const near = table.pockets.some(({ mouth }) => Math.hypot(at[0] - mouth.x, at[1] - mouth.y) < MOUTH);
  return near ? 'pocket' : through;
}
