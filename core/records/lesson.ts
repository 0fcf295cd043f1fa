import { array, object, string, type InferType } from 'yup';
import { roundSchema } from './round.ts';
import { choice, count, day, flag, instant, MISSING, note, text, UNKNOWN, uuid, slug } from './fields.ts';

/** A lesson: who is there, what is played for how long, and what was noted. */

/** An evening of ten hours in turns of five minutes. */
const MOST_BLOCKS = 120;
/** Minutes of a day. */
const LONGEST_EVENING = 1440;
const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

const maybeInstant = () => instant().nullable().defined(MISSING);

/** How players of a group follow each other at one table. */
export const TURNS = ['after each round', 'after each attempt'] as const;

export const lessonBlockSchema = object({
  id: uuid(),
  drill: slug(),
  stage: count(1, 9),
  minutes: count(1, 240),
  startedAt: maybeInstant(),
  endedAt: maybeInstant(),
  note: note(),
  /** In an evening that was planned: whose turn it is, when, in minutes after the beginning, and which coach watches it. */
  playerId: uuid().optional(),
  from: count(0, LONGEST_EVENING).optional(),
  coachId: uuid().optional(),
}).exact(UNKNOWN);
export type LessonBlock = InferType<typeof lessonBlockSchema>;

/** The evening of which a lesson is one table's part. */
const lessonEveningSchema = object({
  id: uuid(),
  /** When it begins, on the clock of the hall. */
  begins: string().strict().required(MISSING).matches(CLOCK, '${path} must be a time as 18:30'),
  minutes: count(10, LONGEST_EVENING),
  coachIds: array(uuid()).required(MISSING).max(12, '${path} has at most 12 coaches'),
  /** Minutes of a turn, at the table without a rest, and of a student on the whole evening. */
  turn: count(5, 120),
  restAfter: count(5, LONGEST_EVENING),
  most: count(5, LONGEST_EVENING),
}).exact(UNKNOWN);
export type LessonEvening = InferType<typeof lessonEveningSchema>;

export const lessonDocumentSchema = object({
  title: text(80),
  day: day(),
  /** The table at which it is held. */
  tableId: uuid(),
  playerIds: array(uuid())
    .required(MISSING)
    .min(1, '${path} needs at least one player')
    .max(16, '${path} has at most 16 players')
    .test('once', '${path} names a player twice', (ids) => new Set(ids).size === ids.length),
  turns: choice(TURNS),
  blocks: array(lessonBlockSchema)
    .required(MISSING)
    .max(MOST_BLOCKS, `\${path} has at most ${MOST_BLOCKS} blocks`)
    .test(
      'ids',
      '${path} names a block twice',
      (blocks) => new Set(blocks.map(({ id }) => id)).size === blocks.length,
    ),
  startedAt: maybeInstant(),
  endedAt: maybeInstant(),
  /** What the coach says at the end. */
  summary: note(),
  evening: lessonEveningSchema.optional().default(undefined),
})
  .test('theirs', 'blocks names a player who is not in the lesson', ({ blocks = [], playerIds = [] }) =>
    blocks.every(({ playerId }) => playerId === undefined || playerIds.includes(playerId)),
  )
  .exact(UNKNOWN)
  .required();
export type LessonDocument = InferType<typeof lessonDocumentSchema>;

/** A lesson that is sent: on which version it was changed, null for a new one. */
export const lessonChangeSchema = object({
  document: lessonDocumentSchema,
  basedOn: count(1, 1_000_000).nullable().defined(MISSING),
})
  .exact(UNKNOWN)
  .required();

export const lessonSchema = object({
  id: uuid(),
  version: count(1, 1_000_000),
  heldBy: object({ id: uuid(), name: text(80) }).required(),
  archived: flag(),
  document: lessonDocumentSchema,
}).required();
export type Lesson = InferType<typeof lessonSchema>;
export const lessonsSchema = array(lessonSchema).required();

/** A lesson with the rounds that were played in it. */
export const lessonWithRoundsSchema = object({
  lesson: lessonSchema,
  rounds: array(roundSchema).required(),
}).required();
export type LessonWithRounds = InferType<typeof lessonWithRoundsSchema>;
