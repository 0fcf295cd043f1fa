import { boolean, object, string, type InferType } from 'yup';
import { count, instant, pointSchema, text, uuid } from './fields.ts';

export const OUTCOMES = ['potted', 'missed', 'in-off'] as const;
export type Outcome = (typeof OUTCOMES)[number];

const UNKNOWN = '${properties} is not a field of this request';

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
  startedAt: instant(),
})
  .exact(UNKNOWN)
  .required();

export type NewRound = InferType<typeof newRoundSchema>;

/** What a device sends for one attempt; the id comes with the address. */
export const newAttemptSchema = object({
  ordinal: count(1, 100),
  outcome: string()
    .strict()
    .required('${path} is missing')
    .oneOf(OUTCOMES, '${path} must be potted, missed or in-off'),
  /** Where the cue ball stopped, metres; only after a pot. */
  landing: pointSchema.nullable().defined('${path} is missing'),
  /** What the device counted; the server counts again and its result stands. */
  points: count(0, 100),
  playedAt: instant(),
})
  .exact(UNKNOWN)
  .required();
export type NewAttempt = InferType<typeof newAttemptSchema>;

export const endRoundSchema = object({
  endedAt: instant(),
  early: boolean().strict().required('${path} is missing'),
})
  .exact(UNKNOWN)
  .required();
