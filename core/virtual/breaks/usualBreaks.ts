import type { RackKind } from '../../rack/rack.ts';
import type { BreakStroke } from './breakShot.ts';

/** A break by its name. */
export interface NamedBreak {
  readonly name: string;
  readonly stroke: BreakStroke;
}

/** Paces of a break, m/s. */
const [SLOW, FIRM] = [5.5, 8];
const [SOFT_OFF, FIRM_OFF] = [2.5, 3.1];
/** A thick and a thin contact of a break-off. */
const [THICK, THIN] = [0.6, 0.35];
/** A second ball is taken on the side from which it is broken, a little thin. */
const SECOND_COVERED = 0.8;

/**
 * The breaks that practitioners choose between, from the breaker's own place: on the head ball and on the second ball, slow
 * and firm; of a break-off thick and thin, soft and firm.
 */
export function usualBreaks(
  kind: RackKind,
  own: BreakStroke,
  table: { readonly width: number },
): readonly NamedBreak[] {
  if (kind === 'reds') {
    return [
      { name: 'Thin, soft', stroke: { ...own, covered: THIN, speed: SOFT_OFF } },
      { name: 'Thin, firm', stroke: { ...own, covered: THIN, speed: FIRM_OFF } },
      { name: 'Thick, soft', stroke: { ...own, covered: THICK, speed: SOFT_OFF } },
      { name: 'Thick, firm', stroke: { ...own, covered: THICK, speed: FIRM_OFF } },
    ];
  }
  const onRight = own.from.y < table.width / 2;
  const head = { ...own, at: 0, covered: 1 };
  const second: BreakStroke = {
    ...own,
    at: onRight ? 1 : 2,
    covered: SECOND_COVERED,
    past: onRight ? 'right' : 'left',
  };
  return [
    { name: 'Head ball, slow', stroke: { ...head, speed: SLOW } },
    { name: 'Head ball, firm', stroke: { ...head, speed: FIRM } },
    { name: 'Second ball, slow', stroke: { ...second, speed: SLOW } },
    { name: 'Second ball, firm', stroke: { ...second, speed: FIRM } },
  ];
}
