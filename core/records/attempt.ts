import { array, boolean, object, string, type InferType } from 'yup';
import { CONTACT_GRADES } from '../counting/gradedContact.ts';
import { LEAVE_GRADES } from '../counting/kickScore.ts';
import { POCKET_NAMES } from '../table/pockets.ts';
import { CONDITIONS } from './drillText/conditions.ts';
import { choice, count, finite, pointSchema, text } from './fields.ts';

/** How an attempt is written down at the table: the result alone, or shot by shot. */

const UNKNOWN = '${path} has the unknown field ${properties}';
const MISSING = '${path} is missing';

/** Why a shot went wrong, in one tap. */
export const CAUSES = [
  'thick',
  'thin',
  'too hard',
  'too soft',
  'too much side',
  'too little side',
  'wrong side of the pocket',
  'too high',
  'too low',
  'decelerated',
  'moved',
  'cushion first',
  'second ball',
  'in-off',
  'bad contact',
  'wrong choice',
  'straight when an angle was needed',
  'rack fault',
  'set-up fault',
] as const;
export type Cause = (typeof CAUSES)[number];

/** Causes that lie in what was chosen, not in how it was played. */
export const DECISION_CAUSES: readonly Cause[] = ['wrong choice', 'straight when an angle was needed'];

export const SIDES_USED = ['none', 'left', 'right'] as const;
export const POCKET_SIDES = ['left', 'middle', 'right'] as const;

const flag = () => boolean().strict().required(MISSING);
const maybe = <const T extends string>(values: readonly T[]) => choice(values).nullable().defined(MISSING);

export const loggedShotSchema = object({
  /** The ball that was played at, and the pocket; null where nobody noted it. */
  ball: text(12).nullable().defined(MISSING),
  pocket: maybe(POCKET_NAMES),
  potted: array(text(12)).strict().required(MISSING).max(22, '${path} has at most 22 balls'),
  inOff: flag(),
  /** Conditions of the drill that the shot broke. */
  broken: array(choice(CONDITIONS)).strict().required(MISSING),
  /** Where the cue ball stopped, metres. */
  landing: pointSchema.nullable().defined(MISSING),
  /** How the ball was met. */
  grade: maybe(CONTACT_GRADES),
  /** Which side of the pocket the ball went into, as seen from the ball. */
  pocketSide: maybe(POCKET_SIDES),
  side: maybe(SIDES_USED),
  /** Whether the planned stroke was played, or another one. */
  asPlanned: boolean().strict().nullable().defined(MISSING),
  cause: maybe(CAUSES),
  /** Whether the cause is the hint that the coach confirmed, or the coach's own. */
  causeBy: maybe(['hint', 'coach']),
  luck: flag(),
  /** It got out of trouble that an earlier shot had made. */
  rescue: flag(),
}).exact(UNKNOWN);
export type LoggedShot = InferType<typeof loggedShotSchema>;

/** A shot of which nothing is noted yet. */
export const BLANK_SHOT: LoggedShot = {
  ball: null,
  pocket: null,
  potted: [],
  inOff: false,
  broken: [],
  landing: null,
  grade: null,
  pocketSide: null,
  side: null,
  asPlanned: null,
  cause: null,
  causeBy: null,
  luck: false,
  rescue: false,
};

const grade = () => count(0, 3);

export const WING_BALL = ['in', 'high', 'low', 'knocked away'] as const;
export const RACK_QUALITY = ['tight', 'one gap', 'loose'] as const;
export const BREAK_AIMS = ['head ball', 'second ball', 'edge of the pack'] as const;
export const BREAK_PACES = ['slow', 'controlled', 'firm', 'full'] as const;
export const CUE_BALL_ENDS = ['middle', 'head end', 'foot end', 'by a cushion', 'snookered'] as const;
export const NEXT_SHOTS = ['open', 'hard', 'nothing on'] as const;
export const RACK_BY = ['hand', 'sheet'] as const;

const openingSchema = object({
  balls: count(0, 15),
  control: grade(),
  layout: grade(),
  inOff: flag(),
  rack: maybe(RACK_QUALITY),
  rackBy: maybe(RACK_BY),
  cue: text(40).nullable().defined(MISSING),
  /** The cue ball's place before the break, metres. */
  from: pointSchema.nullable().defined(MISSING),
  aim: maybe(BREAK_AIMS),
  pace: maybe(BREAK_PACES),
  wing: maybe(WING_BALL),
  /** Where the first and the second ball went: pockets, or null for balls that stayed up. */
  first: maybe(POCKET_NAMES),
  second: maybe(POCKET_NAMES),
  cueBall: maybe(CUE_BALL_ENDS),
  nextShot: maybe(NEXT_SHOTS),
  runOut: boolean().strict().nullable().defined(MISSING),
}).exact(UNKNOWN);
export type BreakLog = InferType<typeof openingSchema>;

const kickSchema = object({
  hit: flag(),
  legal: flag(),
  /** How often the miss was called and the shot played again. */
  repeats: count(0, 20),
  leave: choice(LEAVE_GRADES),
}).exact(UNKNOWN);

const callSchema = object({
  called: text(60),
  computed: text(60),
  played: text(60).nullable().defined(MISSING),
  /** The seed of the position, so that it can be shown again. */
  seed: count(1, 2 ** 31 - 1)
    .nullable()
    .defined(MISSING),
}).exact(UNKNOWN);

/** What the method takes at least, entered as such. */
export const enteredSchema = object({
  done: flag(),
  balls: count(0, 40).nullable().defined(MISSING),
  points: count(0, 200).nullable().defined(MISSING),
  penalty: count(0, 200).nullable().defined(MISSING),
  target: text(12).nullable().defined(MISSING),
  kick: kickSchema.nullable().defined(MISSING),
  opening: openingSchema.nullable().defined(MISSING),
  call: callSchema.nullable().defined(MISSING),
}).exact(UNKNOWN);
export type Entered = InferType<typeof enteredSchema>;

export const NOTHING_ENTERED: Entered = {
  done: false,
  balls: null,
  points: null,
  penalty: null,
  target: null,
  kick: null,
  opening: null,
  call: null,
};

export const SUIT_REASONS = [
  'fewer clusters',
  'shorter ways',
  'better key ball',
  'more balls open',
  'free choice',
] as const;

const DETAILS = ['quick', 'full'] as const;

export const attemptLogSchema = object({
  detail: choice(DETAILS),
  /** The object balls with which it began; null for all of the drill's. */
  set: array(text(12)).strict().nullable().defined(MISSING).max(22, '${path} has at most 22 balls'),
  /** Which throw it was; null where nothing is thrown. */
  seed: count(1, 2 ** 31 - 1)
    .nullable()
    .defined(MISSING),
  /** Where thrown balls really lay, when not at the places of the seed. */
  places: array(object({ id: text(12), x: finite(), y: finite() }).exact(UNKNOWN))
    .nullable()
    .defined(MISSING)
    .max(22, '${path} has at most 22 balls'),
  /** Which suit the player chose, 0 or 1, and why; null where there is none to choose. */
  suit: object({ taken: count(0, 1), why: maybe(SUIT_REASONS) })
    .exact(UNKNOWN)
    .nullable()
    .defined(MISSING),
  entered: enteredSchema.nullable().defined(MISSING),
  shots: array(loggedShotSchema).required(MISSING).max(120, '${path} has at most 120 shots'),
})
  .exact(UNKNOWN)
  .required(MISSING);
export type AttemptLog = InferType<typeof attemptLogSchema>;

/** A log in which only what is given is noted. */
export function logOf(log: Partial<AttemptLog>): AttemptLog {
  return {
    detail: 'quick',
    set: null,
    seed: null,
    places: null,
    suit: null,
    entered: null,
    shots: [],
    ...log,
  };
}

/** What an attempt came to, as it is stored beside its log. */
export const countedSchema = object({
  done: flag(),
  balls: count(0, 100).optional(),
  points: finite().optional(),
  penalty: finite().optional(),
  target: text(12).optional(),
  grade: choice(CONTACT_GRADES).optional(),
  kick: kickSchema.optional().default(undefined),
  opening: object({ balls: count(0, 15), control: grade(), layout: grade(), inOff: flag() })
    .optional()
    .default(undefined),
  call: object({
    called: string().strict().required(),
    computed: string().strict().required(),
    played: string().strict().nullable().defined(),
  })
    .optional()
    .default(undefined),
});
