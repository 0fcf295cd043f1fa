import { array, object, type InferType } from 'yup';
import { roundSchema } from './round.ts';
import { choice, count, day, flag, instant, MISSING, note, text, UNKNOWN, uuid, slug } from './fields.ts';

/** A lesson: who is there, what is played for how long, and what was noted. */

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
}).exact(UNKNOWN);
export type LessonBlock = InferType<typeof lessonBlockSchema>;

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
    .max(20, '${path} has at most 20 blocks')
    .test(
      'ids',
      '${path} names a block twice',
      (blocks) => new Set(blocks.map(({ id }) => id)).size === blocks.length,
    ),
  startedAt: maybeInstant(),
  endedAt: maybeInstant(),
  /** What the coach says at the end. */
  summary: note(),
})
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
