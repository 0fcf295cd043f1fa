import { type InferType, array, object } from 'yup';
import { notedConditionsSchema } from './conditions.ts';
import { count, instant, text } from './fields.ts';
import { tableCardSchema } from './tableCard.ts';

/** How a card came to be what it is, and what was noted of the conditions, newest first. */
export const tableLogSchema = object({
  revisions: array(
    object({
      revision: count(1, 100_000),
      card: tableCardSchema,
      by: text(80).nullable().defined(),
      at: instant(),
    }).required(),
  ).required(),
  conditions: array(notedConditionsSchema).required(),
}).required();

export type TableLog = InferType<typeof tableLogSchema>;
