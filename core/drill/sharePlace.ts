import type { Point } from '../math/point.ts';
import type { TablePreset } from '../table/preset.ts';

/** A ten-thousandth of a table is a quarter of a millimetre. */
const rounded = (share: number) => Math.round(share * 10_000) / 10_000;

/** A place on a table as a drill writes one that was dragged there: shares of length and width, finer than it can be set. */
export function sharePlace({ length, width }: Pick<TablePreset, 'length' | 'width'>, { x, y }: Point) {
  return { share: { along: rounded(x / length), across: rounded(y / width) } };
}
