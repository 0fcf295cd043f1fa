import { type InferType, object, string } from 'yup';
import { attemptLogSchema, countedSchema } from './attempt.ts';
import {
  MISSING,
  UNKNOWN_IN_REQUEST,
  choice,
  count,
  finite,
  flag,
  instant,
  pointSchema,
  text,
  uuid,
} from './fields.ts';

export const OUTCOMES = ['potted', 'missed', 'in-off'] as const;

export type Outcome = (typeof OUTCOMES)[number];

export const outcome = () =>
  string().strict().required(MISSING).oneOf(OUTCOMES, '${path} must be potted, missed or in-off');

export const attemptSchema = object({
  id: uuid(),
  ordinal: count(1, 100),
  /** In a word: done, not done, or the cue ball lost. */
  outcome: outcome(),
  /** Where the cue ball stopped after a single shot that was done, metres. */
  landing: pointSchema.nullable().defined(),
  points: finite(),
  /** Metres past the plan along the cue ball's way and to its left; null without a landing. */
  along: finite().nullable().defined(),
  across: finite().nullable().defined(),
  log: attemptLogSchema,
  counted: countedSchema,
  playedAt: instant(),
  /** Told otherwise afterwards. */
  changed: object({ reason: text(200), by: text(80), at: instant() })
    .nullable()
    .defined()
    .default(null),
}).required();

export type StoredAttempt = InferType<typeof attemptSchema>;

/** Another entry for a shot that was scored already: the coach settles which one stands. */
export const conflictSchema = object({ attempt: attemptSchema, by: text(80) }).required();

export type Conflict = InferType<typeof conflictSchema>;

/** What became of an attempt; in conflict it waits beside another entry for the same shot. */
export const storedSchema = object({
  attempt: attemptSchema,
  conflict: flag(),
}).required();

/** What a device sends for one attempt; the id comes with the address. The server counts it. */
export const newAttemptSchema = object({
  ordinal: count(1, 100),
  log: attemptLogSchema,
  playedAt: instant(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export type NewAttempt = InferType<typeof newAttemptSchema>;

/** A past attempt told otherwise, and why. */
export const attemptChangeSchema = object({
  log: attemptLogSchema,
  reason: text(200),
  changedAt: instant(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** More about an attempt that changes nothing of its score. */
export const attemptNotesSchema = object({ log: attemptLogSchema }).exact(UNKNOWN_IN_REQUEST).required();

/** Which of two entries of the same shot stands. */
export const settleSchema = object({ keep: choice(['stored', 'other']) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();
