import { del, get as read, set as write } from 'idb-keyval';
import { mixed, number, object } from 'yup';
import { readDraft } from '../../core/drill/draft.ts';
import type { Drill } from '../../core/records/drill.ts';

/** A drill on which somebody works: kept on the device until it is saved or thrown away. */
export interface Draft {
  readonly drill: Drill;
  /** The revision that is edited; null for a drill that is not saved yet. */
  readonly basedOn: number | null;
  /** When it was kept, ms since 1970. */
  readonly at: number;
}

const storedSchema = object({
  drill: mixed<object>().required(),
  basedOn: number().strict().nullable().defined(),
  at: number().strict().required(),
}).required();

/** @param name of the drill that is edited, or of a new one; @param clubId drafts of one club are not another's */
export function draftKey(clubId: string, name: string): string {
  return `draft:${clubId}:${name}`;
}

/** The kept draft; undefined where there is none, or none that can be read. */
export async function loadDraft(key: string): Promise<Draft | undefined> {
  const value: unknown = await read(key);
  if (!storedSchema.isValidSync(value)) return undefined;
  const { basedOn, at } = value;
  const drill = readDraft(value.drill);
  return drill && { drill, basedOn, at };
}

export function keepDraft(key: string, draft: Draft): Promise<void> {
  return write(key, draft);
}

export function dropDraft(key: string): Promise<void> {
  return del(key);
}
