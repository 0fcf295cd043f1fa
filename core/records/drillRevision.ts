import { type InferType, array, object } from 'yup';
import { count, instant, text } from './fields.ts';

export const drillRevisionSchema = object({
  revision: count(1, 100_000),
  title: text(80),
  writtenBy: text(80).nullable().defined(),
  writtenAt: instant(),
  rounds: count(0, 1e9),
}).required();

export type DrillRevision = InferType<typeof drillRevisionSchema>;

export const drillRevisionsSchema = array(drillRevisionSchema).required();
