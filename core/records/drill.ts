import { array, lazy, object, string, type InferType } from 'yup';
import { SPOT_NAMES } from '../table/markings.ts';
import { POCKET_NAMES } from '../table/pockets.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { count, finite, text } from './fields.ts';

/** A place in metres, in diamonds from the head end and the right-hand side, or on a spot. */
export type PlaceText =
  | { readonly x: number; readonly y: number }
  | { readonly diamonds: { readonly along: number; readonly across: number } }
  | { readonly spot: (typeof SPOT_NAMES)[number] };

const UNKNOWN = '${path} has the unknown field ${properties}';

const metresPlace = object({ x: finite(), y: finite() }).exact(UNKNOWN);
const diamondsPlace = object({
  diamonds: object({ along: finite(), across: finite() }).exact(UNKNOWN).required('${path} is missing'),
}).exact(UNKNOWN);
const spotPlace = object({
  spot: string().strict().required('${path} is missing').oneOf(SPOT_NAMES, '${path} is not a spot'),
}).exact(UNKNOWN);

const placeSchema = lazy((value: unknown) => {
  const keys = typeof value === 'object' && value !== null ? value : {};
  if ('spot' in keys) return spotPlace.required();
  if ('diamonds' in keys) return diamondsPlace.required();
  return metresPlace.required();
});

const pocketSchema = string()
  .strict()
  .required('${path} is missing')
  .oneOf(POCKET_NAMES, '${path} is not a pocket');

const bandSchema = object({
  /** Least chance of the next pot that earns the points. */
  chance: finite().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1'),
  points: count(1, 100),
}).exact(UNKNOWN);

const stageSchema = object({
  title: text(60),
  bands: array(bandSchema)
    .required('${path} is missing')
    .min(1, '${path} needs at least one band')
    .max(5, '${path} has at most five bands')
    .test('rising', '${path} must rise in chance and points', (bands) =>
      bands.every((band, i) => {
        const before = bands[i - 1];
        return before === undefined || (band.chance > before.chance && band.points > before.points);
      }),
    ),
}).exact(UNKNOWN);

/** A drill as it is written in a file: what is set, what is asked, how it is scored. */
export const drillSchema = object({
  format: string()
    .strict()
    .required('${path} is missing')
    .oneOf(['jolly-rail/drill'] as const, '${path} is unknown'),
  version: count(1, 1),
  slug: text(60).matches(/^[a-z0-9-]+$/, '${path} may hold small letters, digits and hyphens only'),
  title: text(80),
  family: string()
    .strict()
    .required('${path} is missing')
    .oneOf(['position'] as const, '${path} is unknown'),
  technique: string()
    .strict()
    .required('${path} is missing')
    .oneOf(['stop', 'follow', 'draw'] as const, '${path} is unknown'),
  table: string().strict().required('${path} is missing').oneOf(PRESET_IDS, '${path} is not a table'),
  purpose: text(400),
  advice: array(text(200)).required('${path} is missing').max(5, '${path} has at most five lines'),
  balls: array(object({ id: text(12), at: placeSchema }).exact(UNKNOWN))
    .required('${path} is missing')
    .min(3, '${path} needs a cue ball, an object ball and a next ball')
    .max(22, '${path} has at most 22 balls'),
  task: object({
    pot: text(12),
    pocket: pocketSchema,
    next: object({ ball: text(12), pocket: pocketSchema }).exact(UNKNOWN),
  }).exact(UNKNOWN),
  plan: object({
    speed: finite().min(0.1, '${path} must be at least 0.1').max(12, '${path} must be at most 12'),
    tip: object({ side: finite(), height: finite() }).exact(UNKNOWN),
    elevationDeg: finite().min(0, '${path} must be at least 0').max(90, '${path} must be at most 90'),
  }).exact(UNKNOWN),
  scoring: object({
    method: string()
      .strict()
      .required('${path} is missing')
      .oneOf(['zone-points'] as const, '${path} is unknown'),
    shots: count(1, 100),
    /** Whose chance of the next pot contours the window. */
    windowLevel: string()
      .strict()
      .required('${path} is missing')
      .oneOf(LEVEL_NAMES, '${path} is not a level'),
  }).exact(UNKNOWN),
  stages: array(stageSchema)
    .required('${path} is missing')
    .min(1, '${path} needs at least one stage')
    .max(9, '${path} has at most nine stages'),
})
  .exact(UNKNOWN)
  .required();

export type Drill = InferType<typeof drillSchema>;
export type DrillStage = Drill['stages'][number];
export type Band = DrillStage['bands'][number];
