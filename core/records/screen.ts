import { array, object, string, type InferType } from 'yup';
import { notedConditionsSchema } from './conditions.ts';
import { drillSchema } from './drill.ts';
import { choice, count, finite, instant, text, UNKNOWN, UNKNOWN_IN_REQUEST } from './fields.ts';
import { tableCardSchema } from './tableCard.ts';

/** What a lesson's second screen can show: the balls to be set one by one, the task, the planned stroke, or where the cue ball stopped. */
export const SCREEN_VIEWS = ['set up', 'task', 'plan', 'landings'] as const;

/** Letters that nobody takes for others, read out across a hall. */
export const SCREEN_LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';
const LENGTH = 6;
export const SCREEN_CODE = new RegExp(`^[${SCREEN_LETTERS}]{${String(LENGTH)}}$`);

/** Balls that are set at most. */
const MOST_BALLS = 40;

export const shownSchema = object({
  view: choice(SCREEN_VIEWS),
  /** How many balls have been set; the next one blinks. */
  set: count(0, MOST_BALLS),
})
  .exact(UNKNOWN)
  .required();
export type Shown = InferType<typeof shownSchema>;

export const FIRST_SHOWN: Shown = { view: 'set up', set: 0 };

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
  /** The first name of whose turn it is; null where nobody plays. */
  turn: string().strict().nullable().defined(),
  /** Where the cue ball stopped in the round that is played, the newest last, metres. */
  landings: array(object({ x: finite(), y: finite() }).required()).required(),
}).required();
export type ScreenPicture = InferType<typeof screenPictureSchema>;
