import { get, update } from 'idb-keyval';
import { mixed, object, string, type InferType } from 'yup';
import { sendingSchema, type Person, type Sending } from './sending.ts';

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

/** All that this browser keeps for the server, in the order in which it was entered. */
export interface Box {
  readonly waiting: readonly Sending[];
  readonly kept: readonly Kept[];
}

const KEY = 'outbox of persons';
const UNREADABLE = 'it cannot be read on this device';

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

/** Reads what is stored, each entry on its own. */
export function readBoxFrom(value: unknown): Box {
  const stored: object = typeof value === 'object' && value !== null ? value : {};
  const listOf = (list: unknown): readonly unknown[] => (Array.isArray(list) ? list : []);
  const waiting: Sending[] = [];
  const kept: Kept[] = [];
  for (const entry of listOf('kept' in stored ? stored.kept : [])) {
    kept.push(keptSchema.isValidSync(entry) ? entry : setAside(entry, UNREADABLE));
  }
  for (const entry of listOf('waiting' in stored ? stored.waiting : [])) {
    if (sendingSchema.isValidSync(entry)) waiting.push(entry);
    else kept.push(setAside(entry, UNREADABLE));
  }
  return { waiting, kept };
}

export async function readBox(): Promise<Box> {
  return readBoxFrom(await get<unknown>(KEY));
}

/** Changes the box in one transaction of the browser's database; gives it as it is afterwards. */
export async function changeBox(change: (box: Box) => Box): Promise<Box> {
  let after: Box = { waiting: [], kept: [] };
  await update<unknown>(KEY, (value) => (after = change(readBoxFrom(value))));
  return after;
}

/** Puts requests at the end; one that is there already stays where it is. */
export function withWaiting(box: Box, sendings: readonly Sending[]): Box {
  const there = new Set(box.waiting.map(({ id }) => id));
  return { ...box, waiting: [...box.waiting, ...sendings.filter(({ id }) => !there.has(id))] };
}

export function withoutWaiting(box: Box, id: string): Box {
  return { ...box, waiting: box.waiting.filter((sending) => sending.id !== id) };
}

/** The server would not take it: it is kept, and the others go on. */
export function withRefused(box: Box, sending: Sending, reason: string, at: string): Box {
  const { id, person, label } = sending;
  const kept = { id, person, label, reason, at, entry: sending };
  return { ...withoutWaiting(box, id), kept: [...box.kept.filter((each) => each.id !== id), kept] };
}

export function withoutKept(box: Box, id: string): Box {
  return { ...box, kept: box.kept.filter((each) => each.id !== id) };
}

/** Puts what was kept at the end of the queue again, as somebody's own; unchanged when it is no request. */
export function withAnotherTry(box: Box, id: string, person: Person): Box {
  const kept = box.kept.find((each) => each.id === id);
  const sending: unknown =
    kept !== undefined && typeof kept.entry === 'object' ? { ...kept.entry, id, person } : undefined;
  if (!sendingSchema.isValidSync(sending)) return box;
  return withWaiting(withoutKept(box, id), [sending]);
}
