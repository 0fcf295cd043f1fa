import { lazy, object } from 'yup';
import { SPOT_NAMES, type SpotName } from '../../table/markings.ts';
import { choice, finite, text } from '../fields.ts';

export const UNKNOWN = '${path} has the unknown field ${properties}';

export const CUSHION_SIDES = ['head', 'foot', 'right', 'left'] as const;
export type CushionSide = (typeof CUSHION_SIDES)[number];

/** Along the table from the head end and across it from the right-hand side. */
interface AlongAcross {
  readonly along: number;
  readonly across: number;
}

/**
 * Where a ball lies, as a drill says it: in metres (on the one table it was written for), in diamonds, on a spot, as
 * a share of the table with a step in ball widths, frozen to a cushion, or against another ball.
 */
export type PlaceText =
  | { readonly x: number; readonly y: number }
  | { readonly diamonds: AlongAcross }
  | { readonly spot: SpotName; readonly step?: AlongAcross | undefined }
  | { readonly share: AlongAcross; readonly step?: AlongAcross | undefined }
  | { readonly frozen: CushionSide; readonly at: number }
  | { readonly beside: string; readonly towardsDeg: number; readonly gapMm: number };

const share = () => finite().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1');
const alongAcross = () => object({ along: finite(), across: finite() }).exact(UNKNOWN);
const shares = () => object({ along: share(), across: share() }).exact(UNKNOWN);
/** In widths of the object ball. */
const step = () => alongAcross().optional().default(undefined);

const metresPlace = object({ x: finite(), y: finite() }).exact(UNKNOWN);
const diamondsPlace = object({ diamonds: alongAcross().required('${path} is missing') }).exact(UNKNOWN);
const spotPlace = object({ spot: choice(SPOT_NAMES), step: step() }).exact(UNKNOWN);
const sharePlace = object({ share: shares().required('${path} is missing'), step: step() }).exact(UNKNOWN);
const frozenPlace = object({ frozen: choice(CUSHION_SIDES), at: share() }).exact(UNKNOWN);
const besidePlace = object({
  beside: text(12),
  towardsDeg: finite(),
  gapMm: finite().min(0, '${path} must be at least 0').max(200, '${path} must be at most 200'),
}).exact(UNKNOWN);

export const placeSchema = lazy((value: unknown) => {
  const keys = typeof value === 'object' && value !== null ? value : {};
  if ('spot' in keys) return spotPlace.required();
  if ('diamonds' in keys) return diamondsPlace.required();
  if ('share' in keys) return sharePlace.required();
  if ('frozen' in keys) return frozenPlace.required();
  if ('beside' in keys) return besidePlace.required();
  return metresPlace.required();
});

/** A rectangle as shares of the table. */
export const areaSchema = object({ from: shares().required(), to: shares().required() })
  .exact(UNKNOWN)
  .test(
    'turned',
    '${path}.to must lie farther along and across than from',
    (area: { from: AlongAcross; to: AlongAcross } | null | undefined) =>
      area === undefined ||
      area === null ||
      (area.to.along > area.from.along && area.to.across > area.from.across),
  );
