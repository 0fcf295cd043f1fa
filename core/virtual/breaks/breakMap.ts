import { clothLinesOf } from '../../table/markings.ts';
import type { Table } from '../../table/table.ts';
import type { RackKind } from '../../rack/rack.ts';
import type { BreakStroke } from './breakShot.ts';
import { studyBreak, type BreakQuestion, type BreakStudy } from './breakStudy.ts';

/** Places across the table as shares of its width, and paces, m/s. */
const PLACES = [0.09, 0.17, 0.25, 0.33, 0.41, 0.5, 0.59, 0.67, 0.75, 0.83, 0.91];
const SPEEDS = [5, 6, 7, 8, 9];
/** A break-off leaves from the D: places as shares of its half width beside the middle. */
const IN_THE_D = [0.25, 0.4, 0.55, 0.7, 0.85];
const SLOW = [2.3, 2.6, 2.9, 3.2, 3.5];

/** One place and pace of a map. */
export interface BreakCell {
  readonly from: BreakStroke['from'];
  /** m/s. */
  readonly speed: number;
  readonly study: Pick<BreakStudy, 'made' | 'back' | 'next' | 'near' | 'inOff'>;
  /** What it is worth, 0…1 (see worthOfBreak), and its standard error. */
  readonly worth: number;
  readonly error: number;
}

/** Breaks over places and paces. */
export interface BreakMap {
  /** Paces by columns, places by rows: each row from the slowest on. */
  readonly cells: readonly BreakCell[];
  readonly columns: number;
  /** The cell that is worth most, and how many others may be as good: less than two standard errors of the difference off. */
  readonly best: number;
  readonly asGood: number;
}

/**
 * What one break is worth: at pool the chance of the next pot after a ball down without a foul, else nothing; of a break-off
 * that nothing is on for the opponent, a foul being worth nothing.
 */
function worthOfBreak(kind: RackKind, { foul, down, next }: BreakStudy['played'][number]): number {
  if (foul) return 0;
  if (kind === 'reds') return 1 - next;
  return down.length > 0 ? next : 0;
}

/** The places and paces of a map for a rack: along the head string, or in the D on the side of the stroke. */
export function mapStrokes(
  table: Table,
  kind: RackKind,
  { from }: Pick<BreakStroke, 'from'>,
): readonly (readonly Pick<BreakStroke, 'from' | 'speed'>[])[] {
  const { dRadius = 0 } = clothLinesOf(table.preset);
  const side = from.y < table.width / 2 ? -1 : 1;
  const places =
    kind === 'reds'
      ? IN_THE_D.map((share) => table.width / 2 + side * share * dRadius)
      : PLACES.map((share) => share * table.width);
  return places.map((y) =>
    (kind === 'reds' ? SLOW : SPEEDS).map((speed) => ({ from: { x: from.x, y }, speed })),
  );
}

/**
 * Breaks a rack from many places at many paces, aim and tip as in the stroke, and says which is worth most.
 * @param question its stroke's place across the table and pace are left out of account; breaks are played for each cell
 * @param onShare told what share is done, 0…1
 */
export function breakMap(
  question: BreakQuestion,
  onShare: (share: number) => void = () => undefined,
): BreakMap {
  const { table, rack, stroke } = question;
  const rows = mapStrokes(table, rack.kind, stroke);
  const strokes = rows.flat();
  const cells = strokes.map(({ from, speed }, i): BreakCell => {
    const study = studyBreak({ ...question, stroke: { ...stroke, from, speed } });
    const worths = study.played.map((one) => worthOfBreak(rack.kind, one));
    const worth = worths.reduce((sum, each) => sum + each, 0) / worths.length;
    const spread = worths.reduce((sum, each) => sum + (each - worth) ** 2, 0) / worths.length;
    onShare((i + 1) / strokes.length);
    const { made, back, next, near, inOff } = study;
    return {
      from,
      speed,
      study: { made, back, next, near, inOff },
      worth,
      error: Math.sqrt(spread / worths.length),
    };
  });
  const best = cells.reduce((top, { worth }, i) => (worth > (cells[top]?.worth ?? -1) ? i : top), 0);
  const top = cells[best];
  const isAsGood = ({ worth, error }: BreakCell) =>
    top !== undefined && top.worth - worth < 2 * Math.hypot(error, top.error);
  return {
    cells,
    columns: rows[0]?.length ?? 0,
    best,
    asGood: cells.filter((cell, i) => i !== best && isAsGood(cell)).length,
  };
}
