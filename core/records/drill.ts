import { array, boolean, object, string, type InferType } from 'yup';
import { LEVEL_NAMES } from '../player/levels.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { CONDITIONS } from './drillText/conditions.ts';
import { completeDrill } from './drillText/complete.ts';
import { scoringSchema } from './drillText/counting.ts';
import { areaSchema, placeSchema, UNKNOWN } from './drillText/places.ts';
import { stageSchema } from './drillText/stage.ts';
import { targetsSchema } from './drillText/targets.ts';
import { taskSchema } from './drillText/task.ts';
import { choice, count, finite, text, texts, slug } from './fields.ts';

export { CONDITIONS } from './drillText/conditions.ts';
export type { PlaceText } from './drillText/places.ts';
export type { Band } from '../counting/bands.ts';
export type { Order } from './drillText/order.ts';

export const DRILL_FORMAT = 'jolly-rail/drill';
export const DRILL_VERSION = 2;

export const FAMILIES = ['position', 'order', 'break', 'kick', 'plant', 'safety', 'judgement'] as const;
export type Family = (typeof FAMILIES)[number];

export const SKILLS = [
  'cue-ball control',
  'run-out',
  'potting',
  'break',
  'kicking',
  'safety',
  'judgement',
] as const;
export type Skill = (typeof SKILLS)[number];

/** Questions on which practitioners disagree; a drill names those that it bears on. */
export const SCHOOLS = [
  'side spin',
  'leaving angles',
  'draw or follow',
  'margin',
  'curved escapes',
  'break pace and hit',
  'draw on the break',
  'the rack',
  'practice',
  'difficulty',
  'shot to nothing',
] as const;
export type School = (typeof SCHOOLS)[number];

export const CAUTIONS = ['raised butt', 'hard break', 'rest', 'repetition'] as const;
export type Caution = (typeof CAUTIONS)[number];

export type Condition = (typeof CONDITIONS)[number];

/** What can go wrong in a shot, and what a drill makes of it. */
export const FAULTS = ['missed', 'in-off', 'wrong ball', 'condition broken'] as const;
export type Fault = (typeof FAULTS)[number];
export const CONSEQUENCES = ['ends the attempt', 'only noted'] as const;

export const CUE_BALL_STARTS = [
  'placed',
  'in hand',
  'in hand behind the line',
  'in the area',
  'placed for each shot',
] as const;

const list = <const T extends string>(values: readonly T[]) =>
  array(choice(values))
    .required('${path} is missing')
    .test('once', '${path} names something twice', (each) => new Set(each).size === each.length);

const planSchema = object({
  speed: finite().min(0.1, '${path} must be at least 0.1').max(12, '${path} must be at most 12'),
  tip: object({ side: finite(), height: finite() }).exact(UNKNOWN),
  elevationDeg: finite().min(0, '${path} must be at least 0').max(90, '${path} must be at most 90'),
}).exact(UNKNOWN);

const consequence = () => choice(CONSEQUENCES);

/** A drill as it is written in a file: what is set, what is asked, how it is scored. */
export const drillSchema = object({
  format: string()
    .strict()
    .required('${path} is missing')
    .oneOf([DRILL_FORMAT] as const, '${path} is unknown'),
  version: count(DRILL_VERSION, DRILL_VERSION),
  slug: slug(),
  title: text(80),
  family: choice(FAMILIES),
  skills: list(SKILLS).min(1, '${path} needs at least one skill'),
  technique: choice(['stop', 'follow', 'draw']).nullable().defined('${path} is missing'),
  /** The kind of table it was written for, and others on which it makes sense by proportion. */
  table: choice(PRESET_IDS),
  alsoOn: list(PRESET_IDS),
  minutes: count(1, 120),
  purpose: text(400),
  advice: texts(200).max(5, '${path} has at most five lines'),
  schools: list(SCHOOLS),
  cautions: list(CAUTIONS),
  balls: array(object({ id: text(12), at: placeSchema }).exact(UNKNOWN))
    .required('${path} is missing')
    .max(22, '${path} has at most 22 balls')
    .test(
      'names',
      '${path} holds two balls of one name',
      (balls) => new Set(balls.map((ball) => ball.id)).size === balls.length,
    ),
  /** Balls thrown at random beside those that are placed, drawn from a seed so that they can be set up again. */
  thrown: object({
    balls: texts(12).min(1, '${path} needs at least one').max(15, '${path} has at most 15'),
    area: areaSchema,
    /** Least way between two balls, and to the cushions, in ball widths. */
    apart: finite().min(0, '${path} must be at least 0').max(6, '${path} must be at most 6'),
  })
    .exact(UNKNOWN)
    .nullable()
    .defined('${path} is missing'),
  rack: object({ kind: choice(['nine', 'eight', 'eight on the spot', 'reds']) })
    .exact(UNKNOWN)
    .nullable()
    .defined('${path} is missing'),
  cueBall: object({
    start: choice(CUE_BALL_STARTS),
    area: areaSchema.nullable().defined('${path} is missing'),
  }).exact(UNKNOWN),
  /** Places that the cue ball takes in turn, one for each attempt; left out where it always lies at its own. */
  stations: array(placeSchema)
    .min(2, '${path} needs at least two places')
    .max(20, '${path} has at most 20 places')
    .optional(),
  task: taskSchema,
  /** What is to be met besides the window of the next ball. */
  targets: targetsSchema,
  conditions: list(CONDITIONS),
  faults: object({
    missed: consequence(),
    'in-off': consequence(),
    'wrong ball': consequence(),
    'condition broken': consequence(),
  }).exact(UNKNOWN),
  /** What follows a fault that does not end the attempt. */
  repair: choice(['play on', 'ball in hand', 'cue ball back']),
  /** The planned stroke; the direction is solved on the table. Null where there is none to plan. */
  plan: planSchema.nullable().defined('${path} is missing'),
  /** Other strokes that come to the same end; scored and benchmarked is the plan. */
  routes: array(object({ title: text(60), plan: planSchema.required('${path} is missing') }).exact(UNKNOWN))
    .required('${path} is missing')
    .max(4, '${path} has at most four'),
  /** Why the plan cannot be checked by playing it; null where it is. */
  unchecked: text(200).nullable().defined('${path} is missing'),
  scoring: scoringSchema,
  /** Whom a leave is judged by; a team player where nothing is said. */
  opponent: string()
    .strict()
    .oneOf(LEVEL_NAMES, `\${path} must be one of ${LEVEL_NAMES.join(', ')}`),
  /** Whether a student sees the plan of a clearance only when the round is over; when asked for where nothing is said. */
  hidesPlan: boolean().strict().typeError('${path} must be true or false'),
  stages: array(stageSchema)
    .required('${path} is missing')
    .min(1, '${path} needs at least one stage')
    .max(9, '${path} has at most nine stages'),
})
  .transform((_value, original: unknown) => completeDrill(original))
  .exact(UNKNOWN)
  .required();

export type Drill = InferType<typeof drillSchema>;
export type DrillStage = Drill['stages'][number];
export type Target = Drill['targets'][number];
