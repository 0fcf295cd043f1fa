import { type InferType, object, string } from 'yup';
import { AIR_KINDS, BALL_STATES, WARMTHS } from '../table/cardChoices.ts';
import { UNKNOWN, UNKNOWN_IN_REQUEST, choice, flag, instant, text, uuid } from './fields.ts';

export const conditionsSchema = object({
  air: choice(AIR_KINDS),
  warmth: choice(WARMTHS),
  balls: choice(BALL_STATES),
}).exact(UNKNOWN);

/** Conditions are tonight's: noted once, they hold for this long, ms. */
export const CONDITIONS_HOLD_MS = 12 * 3_600_000;

/** What a device sends to note tonight's conditions; the id comes with the address. */
export const newConditionsSchema = object({
  conditions: conditionsSchema.required('conditions is missing'),
  note: string().strict().defined('note is missing').max(300, 'note must be at most 300 characters'),
  notedAt: instant(),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const notedConditionsSchema = object({
  id: uuid(),
  conditions: conditionsSchema.required(),
  note: string().strict().defined(),
  by: text(80),
  notedAt: instant(),
  holdsUntil: instant(),
  withdrawn: flag(),
}).required();

export type NotedConditions = InferType<typeof notedConditionsSchema>;
