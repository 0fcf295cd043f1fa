import { type InferType, object } from 'yup';
import { choice, count, text, uuid } from './fields.ts';

export const JOB_STATES = ['queued', 'running', 'done', 'cancelled', 'failed'] as const;

/** A benchmark that the server computes, or has computed, in the background. */
export const benchmarkJobSchema = object({
  id: uuid(),
  state: choice(JOB_STATES),
  /** Parts that are played, of all. */
  done: count(0, 10_000),
  parts: count(1, 10_000),
  /** Why it failed. */
  error: text(300).nullable().defined(),
}).required();

export type BenchmarkJob = InferType<typeof benchmarkJobSchema>;
