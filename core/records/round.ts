import { boolean, object, string, type InferType } from 'yup';
import { RESULT_UNITS } from '../counting/result.ts';
import { attemptLogSchema } from './attempt.ts';
import { choice, count, finite, instant, text, uuid } from './fields.ts';

export const OUTCOMES = ['potted', 'missed', 'in-off'] as const;
export type Outcome = (typeof OUTCOMES)[number];

const UNKNOWN = '${properties} is not a field of this request';

/** The block of a lesson to which a round belongs. */
export const lessonRefSchema = object({ id: uuid(), block: uuid() }).exact(UNKNOWN);

/** What a device sends to open a round; the id comes with the address. */
export const newRoundSchema = object({
  playerId: uuid(),
  tableId: uuid(),
  /** The state in which the device knew the table when the round began. */
  tableRevision: count(1, 100_000),
  conditionsId: uuid().nullable().defined('${path} is missing'),
  drill: text(60),
  revision: count(1, 100_000),
  stage: count(1, 9),
  /** Rung at which a ladder of racks begins, from 0. */
  ladderStart: count(0, 21),
  /** From which the layouts of thrown balls are drawn. */
  seed: count(1, 2 ** 31 - 1),
  lesson: lessonRefSchema.nullable().defined('${path} is missing'),
  startedAt: instant(),
})
  .exact(UNKNOWN)
  .required();

export type NewRound = InferType<typeof newRoundSchema>;

/** What a device sends for one attempt; the id comes with the address. The server counts it. */
export const newAttemptSchema = object({
  ordinal: count(1, 100),
  log: attemptLogSchema,
  playedAt: instant(),
})
  .exact(UNKNOWN)
  .required();
export type NewAttempt = InferType<typeof newAttemptSchema>;

/** A past attempt told otherwise, and why. */
export const attemptChangeSchema = object({
  log: attemptLogSchema,
  reason: text(200),
  changedAt: instant(),
})
  .exact(UNKNOWN)
  .required();

/** More about an attempt that changes nothing of its score. */
export const attemptNotesSchema = object({ log: attemptLogSchema }).exact(UNKNOWN).required();

/** An attempt that is not over, so that another device can go on with it; null when there is none. */
export const underWaySchema = object({
  log: attemptLogSchema.nullable().defined('${path} is missing'),
  /** Of two devices the later one counts. */
  at: instant(),
})
  .exact(UNKNOWN)
  .required();

/** Which of two entries of the same shot stands. */
export const settleSchema = object({ keep: choice(['stored', 'other']) })
  .exact(UNKNOWN)
  .required();

export const endRoundSchema = object({
  endedAt: instant(),
  early: boolean().strict().required('${path} is missing'),
})
  .exact(UNKNOWN)
  .required();

export const resultSchema = object({
  value: finite(),
  unit: choice(RESULT_UNITS),
  better: choice(['high', 'low']),
  maximum: finite().nullable().defined(),
  complete: boolean().strict().required(),
  censored: boolean().strict().required(),
}).required();

export const outcome = () =>
  string()
    .strict()
    .required('${path} is missing')
    .oneOf(OUTCOMES, '${path} must be potted, missed or in-off');

/** What was proposed after a round, and whether the coach took it. */
export const adviceChoiceSchema = object({
  proposal: text(200),
  /** Stage of the next round. */
  stage: count(1, 9),
  accepted: boolean().strict().required('${path} is missing'),
  at: instant(),
})
  .exact(UNKNOWN)
  .required();
export type AdviceChoice = InferType<typeof adviceChoiceSchema>;
