import { type InferType, object } from 'yup';
import { UNKNOWN_IN_REQUEST, count, flag, instant, text } from './fields.ts';

/** What was proposed after a round, and whether the coach took it. */
export const adviceChoiceSchema = object({
  proposal: text(200),
  /** Stage of the next round. */
  stage: count(1, 9),
  accepted: flag(),
  at: instant(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export type AdviceChoice = InferType<typeof adviceChoiceSchema>;
