import { mixed, object, string, type InferType } from 'yup';

/** What the server would not take, or what cannot be read: kept until its owner sends it again or takes it out. */
export const keptSchema = object({
  id: string().strict().required(),
  /** Null where nothing says whose it is. */
  person: object({ id: string().strict().required(), name: string().strict().defined() })
    .nullable()
    .defined(),
  label: string().strict().required(),
  /** Why it was not taken. */
  reason: string().strict().required(),
  at: string().strict().required(),
  /** The entry as it was written; a request that can be sent again where it can be read as one. */
  entry: mixed().defined().nullable(),
}).required();
export type Kept = InferType<typeof keptSchema>;

export const UNREADABLE = 'it cannot be read on this device';

/** An entry that is set aside instead of standing in the way of the others. */
export function setAside(entry: unknown, reason: string): Kept {
  const known = object({ label: string().required() }).isValidSync(entry) ? entry : undefined;
  return {
    id: crypto.randomUUID(),
    person: null,
    label: known?.label ?? 'An entry',
    reason,
    at: new Date().toISOString(),
    entry: entry ?? null,
  };
}
