import { type InferType, array, boolean, object, string } from 'yup';
import { PRESET_IDS } from '../table/preset.ts';
import { adviceChoiceSchema } from './advice.ts';
import { MISSING, UNKNOWN_IN_REQUEST, count, finite, flag, instant, text, uuid, slug } from './fields.ts';
import { hand } from './player.ts';
import { resultSchema } from './result.ts';
import { attemptSchema } from './storedAttempt.ts';

/** The block of a lesson to which a round belongs. */
export const lessonRefSchema = object({ id: uuid(), block: uuid() }).exact(UNKNOWN_IN_REQUEST);

/** What a device sends to open a round; the id comes with the address. */
export const newRoundSchema = object({
  playerId: uuid(),
  tableId: uuid(),
  /** The state in which the device knew the table when the round began. */
  tableRevision: count(1, 100_000),
  conditionsId: uuid().nullable().defined(MISSING),
  drill: slug(),
  revision: count(1, 100_000),
  stage: count(1, 9),
  /** Rung at which a ladder of racks begins, from 0. */
  ladderStart: count(0, 21),
  /** From which the layouts of thrown balls are drawn. */
  seed: count(1, 2 ** 31 - 1),
  /** Set in a mirror along the table, for the other hand. */
  mirrored: boolean().strict().default(false),
  lesson: lessonRefSchema.nullable().defined(MISSING),
  startedAt: instant(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export type NewRound = InferType<typeof newRoundSchema>;

export const endRoundSchema = object({
  endedAt: instant(),
  early: flag(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const preset = () =>
  string().strict().required(MISSING).oneOf(PRESET_IDS, '${path} is not a table that we know');

export const roundSchema = object({
  id: uuid(),
  player: object({ id: uuid(), name: text(80), hand: hand() }).required(),
  /** Which table, and how balls ran on it: rounds with unlike fingerprints are not compared without saying so. */
  table: object({
    id: uuid(),
    name: text(60),
    preset: preset(),
    revision: count(1, 100_000),
    conditionsId: uuid().nullable().defined(),
    fingerprint: text(500),
  }).required(),
  drill: slug(),
  /** The club wrote the drill itself. */
  ownDrill: boolean().strict().default(false),
  revision: count(1, 100_000),
  stage: count(1, 9),
  ladderStart: count(0, 21),
  seed: count(1, 2 ** 31 - 1),
  /** Set in a mirror along the table, for the other hand. */
  mirrored: boolean().strict().default(false),
  lesson: lessonRefSchema.nullable().defined(),
  startedAt: instant(),
  endedAt: instant().nullable().defined(),
  early: boolean().strict().nullable().defined(),
  attempts: array(attemptSchema).required(),
  result: resultSchema,
  advice: adviceChoiceSchema.nullable().defined(),
}).required();

export type Round = InferType<typeof roundSchema>;

export const roundsSchema = array(roundSchema).required();

/** A round without its attempts. */
export const roundHeadSchema = roundSchema.omit(['attempts']);

export type RoundHead = InferType<typeof roundHeadSchema>;

export const roundHeadsSchema = array(roundHeadSchema).required();

export const roundSummarySchema = object({
  id: uuid(),
  playerId: uuid(),
  player: text(80),
  drill: slug(),
  stage: count(1, 9),
  table: text(60),
  result: resultSchema,
  played: count(0, 100),
  startedAt: instant(),
  endedAt: instant().nullable().defined(),
  /** What the result is worth on the scale of ratings; null while nobody knows. */
  rating: finite().nullable().default(null),
}).required();

export type RoundSummary = InferType<typeof roundSummarySchema>;
