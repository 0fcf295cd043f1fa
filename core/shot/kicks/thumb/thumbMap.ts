import type { BallOnTable } from '../../../motion/shot.ts';
import type { Point } from '../../../math/point.ts';
import type { Table } from '../../../table/table.ts';
import { tryThumb, type ThumbFigures, type ThumbPace, type ThumbQuestion } from './thumbRules.ts';

/** Places of the cue ball along the table; across it half as many. */
const COLUMNS = 36;

/** Where on the table a rule of thumb can be trusted to meet a ball. */
export interface ThumbMap {
  readonly columns: number;
  readonly rows: number;
  /**
   * For each place of the cue ball, from the head's right-hand corner, row by row: by how much the rule passes the target,
   * metres, above zero long; null where the rule has no answer there, undefined where its cue ball does not come.
   */
  readonly misses: readonly (number | null | undefined)[];
  /** Share of the places with an answer from which it meets the ball, 0…1; undefined where it has none. */
  readonly trusted: number | undefined;
}

/** The place of a cell of such a map, metres. */
export function cellAt({ length, width }: Table, { columns, rows }: ThumbMap, cell: number): Point {
  return {
    x: (length * ((cell % columns) + 0.5)) / columns,
    y: (width * (Math.floor(cell / columns) + 0.5)) / rows,
  };
}

/**
 * Tries a rule from all over the table, against one target, with no other ball on it.
 * @param columns places along the table, 2…200
 */
export function thumbMap(
  table: Table,
  question: ThumbQuestion,
  figures: ThumbFigures,
  pace: ThumbPace,
  target: Point,
  columns = COLUMNS,
): ThumbMap {
  const rows = Math.round(columns / 2);
  const { ballRadius: radius, ballMass: mass } = table.preset;
  const empty: ThumbMap = { columns, rows, misses: [], trusted: undefined };
  const misses = Array.from({ length: columns * rows }, (_, cell) => {
    const from: BallOnTable = { id: 'cue', ...cellAt(table, empty, cell), radius, mass };
    if (Math.hypot(from.x - target.x, from.y - target.y) < 2 * radius) return null;
    const trial = tryThumb(table, question, figures, pace, from, target);
    return trial === undefined ? null : trial.passing?.miss;
  });
  const answered = misses.filter((miss) => miss !== null);
  const met = answered.filter((miss) => miss !== undefined && Math.abs(miss) < 2 * radius);
  return { ...empty, misses, trusted: answered.length === 0 ? undefined : met.length / answered.length };
}
