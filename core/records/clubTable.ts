import { type InferType, array, boolean, object } from 'yup';
import { PRESET_IDS } from '../table/preset.ts';
import { notedConditionsSchema } from './conditions.ts';
import { MISSING, UNKNOWN_IN_REQUEST, choice, count, flag, text, uuid } from './fields.ts';
import { preset } from './round.ts';
import { tableCardSchema } from './tableCard.ts';

/** A table's card at a revision, under the conditions that were noted: all that decides how balls run on it. */
export const tableStateSchema = object({
  revision: count(1, 100_000),
  card: tableCardSchema,
  conditions: notedConditionsSchema.nullable().defined(),
}).required();

export type TableState = InferType<typeof tableStateSchema>;

export const clubTableSchema = object({
  id: uuid(),
  name: text(60),
  preset: choice(PRESET_IDS),
  archived: flag(),
  /** The hall in which it stands; null where nobody has said. */
  hallId: uuid().nullable().defined().default(null),
  state: tableStateSchema,
}).required();

export type ClubTable = InferType<typeof clubTableSchema>;

export const clubTablesSchema = array(clubTableSchema).required();

/** Which state of which table. */
export interface TableRef {
  readonly id: string;
  readonly revision: number;
  readonly conditionsId: string | null;
}

export const newTableSchema = object({ name: text(60), preset: preset() })
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** What a coach sends to change a table: the whole card, and the revision that it was made from. */
export const tableChangeSchema = object({
  name: text(60),
  archived: boolean().strict().required('archived is missing'),
  card: tableCardSchema,
  basedOn: count(1, 100_000),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

/** Where a table stands. */
export const tableHallSchema = object({ hallId: uuid().nullable().defined(MISSING) })
  .exact(UNKNOWN_IN_REQUEST)
  .required();
