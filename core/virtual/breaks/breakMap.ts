import { clothLinesOf } from '../../table/markings.ts';
import type { Table } from '../../table/table.ts';
import type { RackKind } from '../../rack/rack.ts';
import { worthOf, worthOfBreak } from './breakWorth.ts';
import type { BreakStroke } from './breakShot.ts';
import {
  drawnBreak,
  playedBreak,
  summedBreaks,
  type BreakQuestion,
  type BreakStudy,
  type PlayedBreak,
} from './breakStudy.ts';

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

/** So many breaks of each cell make the first picture: the paler half of what is known, and in a second. */
const FIRST = 8;

/**
 * Breaks a rack from many places at many paces, aim and tip as in the stroke, and says which is worth most. All cells are
 * looked at roughly first, and told; then each is played to the end.
 * @param question its stroke's place across the table and pace are left out of account; breaks are played for each cell
 * @param onShare told what share is done, 0…1, and once the map as it looks at first
 * @throws RangeError for fewer than one break, or a rack or a stroke that cannot be
 */
export function breakMap(
  question: BreakQuestion,
  onShare: (share: number, first?: BreakMap) => void = () => undefined,
): BreakMap {
  const { table, rack, stroke, breaks } = question;
  if (!(breaks >= 1)) throw new RangeError('breakMap: breaks must be at least 1');
  const rows = mapStrokes(table, rack.kind, stroke);
  const columns = rows[0]?.length ?? 0;
  const strokes = rows.flat();
  const played = strokes.map((): PlayedBreak[] => []);
  let done = 0;
  const first = Math.min(FIRST, breaks);
  for (const count of first < breaks ? [first, breaks] : [breaks]) {
    const before = count === first ? 0 : first;
    strokes.forEach(({ from, speed }, i) => {
      const cell = { ...question, stroke: { ...stroke, from, speed } };
      for (let k = before; k < count; k++)
        played[i]?.push(playedBreak(drawnBreak(cell, k), rack.kind, false));
      done += count - before;
      onShare(done / (strokes.length * breaks));
    });
    if (count < breaks)
      onShare(done / (strokes.length * breaks), mapOf(table, rack.kind, strokes, columns, played));
  }
  return mapOf(table, rack.kind, strokes, columns, played);
}

function mapOf(
  table: Table,
  kind: RackKind,
  strokes: readonly Pick<BreakStroke, 'from' | 'speed'>[],
  columns: number,
  played: readonly (readonly PlayedBreak[])[],
): BreakMap {
  const cells = strokes.map(({ from, speed }, i): BreakCell => {
    const own = played[i] ?? [];
    const { made, back, next, near, inOff } = summedBreaks(table, own, { from });
    const worth = worthOf(own.map((one) => worthOfBreak(kind, one)));
    return { from, speed, study: { made, back, next, near, inOff }, ...worth };
  });
  const best = cells.reduce((top, { worth }, i) => (worth > (cells[top]?.worth ?? -1) ? i : top), 0);
  const top = cells[best];
  const isAsGood = ({ worth, error }: BreakCell) =>
    top !== undefined && top.worth - worth < 2 * Math.hypot(error, top.error);
  return {
    cells,
    columns,
    best,
    asGood: cells.filter((cell, i) => i !== best && isAsGood(cell)).length,
  };
}
