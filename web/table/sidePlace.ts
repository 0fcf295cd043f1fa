import type { Point } from '../../core/math/point.ts';
import type { CushionSide } from '../../core/records/drillText/places.ts';
import type { Table } from '../../core/table/table.ts';

/** A place on the nose of a side. @param share along the table from the head end, or across it from the right */
export function sidePlace(side: CushionSide, share: number, { length, width }: Table): Point {
  switch (side) {
    case 'head':
      return { x: 0, y: share * width };
    case 'foot':
      return { x: length, y: share * width };
    case 'right':
      return { x: share * length, y: 0 };
    case 'left':
      return { x: share * length, y: width };
  }
}
