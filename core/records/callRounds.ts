import { array, object, type InferType } from 'yup';
import { QUESTIONS } from './drillText/task.ts';
import { choice, count } from './fields.ts';

/** What a player called in rounds of drills, by question: of so many calls so many right, and of the newest ones. */
const calledSchema = object({
  question: choice(QUESTIONS),
  calls: count(1, 1e9),
  right: count(0, 1e9),
  newest: object({ calls: count(1, 10), right: count(0, 10) }).required(),
}).required();
export type CalledInRounds = InferType<typeof calledSchema>;
export const callRoundsSchema = array(calledSchema).required();
