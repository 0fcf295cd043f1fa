import { type InferType, array, object } from 'yup';
import { playerSchema } from './player.ts';
import { roundSummarySchema } from './round.ts';

/** What is on today: rounds still open, rounds just played, and who has not practised for longest. */
export const todaySchema = object({
  open: array(roundSummarySchema).required(),
  recent: array(roundSummarySchema).required(),
  waiting: array(playerSchema).required(),
}).required();

export type Today = InferType<typeof todaySchema>;
