import { type InferType, array, object } from 'yup';
import { benchmarkSchema } from './benchmark.ts';
import { benchmarkJobSchema } from './benchmarkJob.ts';
import { clubResultsSchema } from './clubResults.ts';
import { finite, flag } from './fields.ts';

export const benchmarkReplySchema = object({
  benchmark: benchmarkSchema.nullable().defined().default(null),
  job: benchmarkJobSchema.nullable().defined().default(null),
  /** Whether virtual players can play it at all. */
  playable: flag(),
  fixed: array(finite().nullable().defined()).nullable().defined().default(null),
  club: clubResultsSchema.nullable().defined().default(null),
}).required();

export type BenchmarkReply = InferType<typeof benchmarkReplySchema>;
