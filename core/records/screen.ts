import { array, object, string, type InferType } from 'yup';
import { CALL_KINDS } from '../judgement/kinds.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { callAnswerSchema, callSourceSchema } from './call.ts';
import { notedConditionsSchema } from './conditions.ts';
import { drillSchema } from './drill.ts';
import { choice, count, finite, instant, text, UNKNOWN, UNKNOWN_IN_REQUEST } from './fields.ts';
import { tableCardSchema } from './tableCard.ts';

/** What a lesson's second screen can show: the balls to be set one by one, the task, the planned stroke, where the cue ball stopped, or a position that is called. */
export const SCREEN_VIEWS = ['set up', 'task', 'plan', 'landings', 'call'] as const;

/** Letters that nobody takes for others, read out across a hall. */
export const SCREEN_LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
const LENGTH = 6;
export const SCREEN_CODE = new RegExp(`^[${SCREEN_LETTERS}]{${String(LENGTH)}}$`);

/** Balls that are set at most. */
const MOST_BALLS = 40;

/** A position that somebody calls: by its source it is made up anew where it is shown, to the same bits. */
const shownCallSchema = object({
  kind: choice(CALL_KINDS),
  preset: choice(PRESET_IDS),
  source: callSourceSchema,
  /** What was called, once it is revealed; nothing of it is told before. */
  revealed: object({ answer: callAnswerSchema }).exact(UNKNOWN).nullable().defined().default(undefined),
})
  .exact(UNKNOWN)
  .required();
export type ShownCall = InferType<typeof shownCallSchema>;

export const shownSchema = object({
  view: choice(SCREEN_VIEWS),
  /** How many balls have been set; the next one blinks. */
  set: count(0, MOST_BALLS),
  /** The position that was called last; screens from before calls were shown have none. */
  call: shownCallSchema.nullable().optional().default(undefined),
})
  .exact(UNKNOWN)
  .required();
export type Shown = InferType<typeof shownSchema>;

export const FIRST_SHOWN: Shown = { view: 'set up', set: 0 };

/** Balls that a camera does not see in their places: how far beside, metres; null for one that it does not see at all. */
export const besideSchema = array(
  object({
    ball: text(12),
    off: finite()
      .min(0, '${path} must not be below 0')
      .max(5, '${path} must be at most 5')
      .nullable()
      .defined(),
  })
    .exact(UNKNOWN)
    .required(),
)
  .max(MOST_BALLS, '${path} holds more balls than a table')
  .required();
export type Beside = InferType<typeof besideSchema>;

/** What a pad with a camera sends. */
export const besideChangeSchema = object({ beside: besideSchema }).exact(UNKNOWN_IN_REQUEST).required();

/** What a coach sends: what is to be shown; it opens the screen where it is not open. */
export const screenChangeSchema = object({ shown: shownSchema }).exact(UNKNOWN_IN_REQUEST).required();

/** A screen as its coach has it. */
export const lessonScreenSchema = object({
  code: string().strict().required().matches(SCREEN_CODE),
  expiresAt: instant(),
  shown: shownSchema,
}).required();
export type LessonScreen = InferType<typeof lessonScreenSchema>;

export const maybeScreenSchema = object({
  screen: lessonScreenSchema.nullable().defined().default(null),
}).required();

/** All that a screen gets to know, whoever looks at it: no full name, no note, no result. */
export const screenPictureSchema = object({
  shown: shownSchema,
  tableName: text(60),
  card: tableCardSchema,
  conditions: notedConditionsSchema.nullable().defined(),
  block: object({
    drill: drillSchema,
    stage: count(1, 9),
    minutes: count(1, 240),
    startedAt: instant().nullable().defined(),
    endedAt: instant().nullable().defined(),
  })
    .nullable()
    .defined()
    .default(null),
  /** The drill of a call that is of one; null else. */
  callDrill: drillSchema.nullable().defined().default(null),
  beside: besideSchema,
  /** The first name of whose turn it is; null where nobody plays. */
  turn: string().strict().nullable().defined(),
  /** Where the cue ball stopped in the round that is played, the newest last, metres. */
  landings: array(object({ x: finite(), y: finite() }).required()).required(),
}).required();
export type ScreenPicture = InferType<typeof screenPictureSchema>;
