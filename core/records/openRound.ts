import { type InferType, array, object } from 'yup';
import { attemptLogSchema } from './attempt.ts';
import { tableStateSchema } from './clubTable.ts';
import { drillSchema } from './drill.ts';
import { MISSING, UNKNOWN_IN_REQUEST, instant } from './fields.ts';
import { roundSchema } from './round.ts';
import { conflictSchema } from './storedAttempt.ts';

/** A round to play: with the drill at the revision, and the table in the state, in which it was opened. */
export const openRoundSchema = object({
  round: roundSchema,
  document: drillSchema,
  tableState: tableStateSchema,
  /** The shots of an attempt that is not over. */
  underWay: attemptLogSchema.nullable().defined(),
  conflicts: array(conflictSchema).required(),
}).required();

export type OpenRound = InferType<typeof openRoundSchema>;

/** An attempt that is not over, so that another device can go on with it; null when there is none. */
export const underWaySchema = object({
  log: attemptLogSchema.nullable().defined(MISSING),
  /** Of two devices the later one counts. */
  at: instant(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();
