import { type InferType, array, object } from 'yup';
import { drillSchema } from './drill.ts';
import { MISSING, UNKNOWN_IN_REQUEST, choice, count, flag, slug } from './fields.ts';

export const drillEntrySchema = object({ revision: count(1, 100_000), document: drillSchema }).required();

export type DrillEntry = InferType<typeof drillEntrySchema>;

/** A drill to choose: the newest text of one that ships, or of one that the club wrote itself. */
export const listedDrillSchema = drillEntrySchema.shape({
  own: flag(),
  archived: flag(),
  favourite: flag(),
});

export type ListedDrill = InferType<typeof listedDrillSchema>;

export const listedDrillsSchema = array(listedDrillSchema).required();

/** A text that the club sends: on which revision it was written, null for a new drill. */
export const drillChangeSchema = object({
  document: drillSchema,
  basedOn: count(1, 100_000).nullable().defined(MISSING),
})
  .exact(UNKNOWN_IN_REQUEST)
  .required();

export const archivedSchema = object({ archived: flag() }).exact(UNKNOWN_IN_REQUEST).required();

export const favouriteSchema = object({ favourite: flag() }).exact(UNKNOWN_IN_REQUEST).required();

/** A drill that comes from a file, and what became of it. */
export const importSchema = object({ document: drillSchema }).exact(UNKNOWN_IN_REQUEST).required();

export const importReplySchema = object({
  outcome: choice(['added', 'new revision', 'already here']),
  slug: slug(),
  revision: count(1, 100_000),
}).required();

export type ImportReply = InferType<typeof importReplySchema>;
