import { type InferType, array, object } from 'yup';
import { count } from './fields.ts';
import { resultSchema } from './result.ts';

/** What the club's players have scored in whole rounds. */
export const clubResultsSchema = object({
  players: count(0, 1e6),
  rounds: count(0, 1e9),
  best: resultSchema.nullable().defined().default(null),
  /** A quarter of the rounds is worse than the first, half worse than the second, a quarter better than the third. */
  quartiles: array(resultSchema).required().max(3),
}).required();

export type ClubResults = InferType<typeof clubResultsSchema>;
