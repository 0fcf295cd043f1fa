import { array, boolean, object, type InferType } from 'yup';
import { SKILLS } from './drill.ts';
import { choice, count, finite, slug, uuid, MISSING, UNKNOWN_IN_REQUEST } from './fields.ts';
import { lessonDocumentSchema, lessonSchema } from './lesson.ts';
import { COURSES } from './rating.ts';
import { PRESET_IDS } from '../table/preset.ts';

/** What a block is for. */
export const WANT_KINDS = ['warm-up', 'main'] as const;

const wantSchema = object({
  drill: slug(),
  stage: count(1, 9),
  kind: choice(WANT_KINDS),
  skill: choice(SKILLS),
  /** What the player would gain by it, 0…1: a rule of thumb. */
  gain: finite().min(0).max(1),
  /** On which it can be played. */
  tables: array(choice(PRESET_IDS)).required(MISSING),
  behind: finite().nullable().defined(),
  isSurelyBehind: boolean().strict().default(false),
  shows: finite().nullable().defined(),
  restDays: finite().nullable().defined(),
  course: choice(COURSES).nullable().defined(),
});

/** A drill that a player could play tonight, with what speaks for it. */
export type Want = InferType<typeof wantSchema>;

/** What each of some players could play, the best first. */
export const eveningWantsSchema = array(
  object({ playerId: uuid(), wants: array(wantSchema).required(MISSING) }).required(),
).required();
export type EveningWants = InferType<typeof eveningWantsSchema>;

/** So many tables an evening has at most: each is a lesson. */
export const MOST_TABLES = 12;

/** An evening that is sent: the lessons of its tables, all of which are stored, or none. */
export const eveningChangeSchema = object({
  lessons: array(
    object({
      id: uuid(),
      document: lessonDocumentSchema,
      basedOn: count(1, 1_000_000).nullable().defined(MISSING),
    }).exact(UNKNOWN_IN_REQUEST),
  )
    .required(MISSING)
    .min(1, '${path} needs at least one table')
    .max(MOST_TABLES, `\${path} has at most ${MOST_TABLES} tables`)
    .test(
      'ids',
      '${path} names a lesson twice',
      (lessons) => new Set(lessons.map(({ id }) => id)).size === lessons.length,
    ),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** The lessons of an evening. */
export const eveningSchema = array(lessonSchema).required();
