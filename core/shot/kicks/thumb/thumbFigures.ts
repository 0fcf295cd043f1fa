import type { Table } from '../../../table/table.ts';
import { threeCushionFigures } from './threeCushions.ts';
import { thumbSpeed, type ThumbFigures } from './thumbRules.ts';

/** Finds out what the rules of thumb need to know of a table, at both paces. */
export function thumbFigures(table: Table): ThumbFigures {
  return {
    soft: threeCushionFigures(table, thumbSpeed(table, 'far mark', 'soft')),
    firm: threeCushionFigures(table, thumbSpeed(table, 'far mark', 'firm')),
  };
}
