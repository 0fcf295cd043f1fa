import { openDB, type DBSchema, type IDBPDatabase, type IDBPTransaction } from 'idb';
import { keptSchema, setAside, UNREADABLE, type Kept } from './kept.ts';
import { sendingSchema, type Person, type Sending } from './sending.ts';

/**
 * All that this browser keeps for the server. Each request is an entry of its own, in the order in which it was entered,
 * so that the next one costs the same however many wait.
 */
interface Stores extends DBSchema {
  waiting: { key: number; value: unknown; indexes: { id: string; person: string; topic: string } };
  kept: { key: string; value: unknown };
}
type Change = IDBPTransaction<Stores, ['waiting', 'kept'], 'readwrite'>;

const NAME = 'jolly-outbox';
const VERSION = 1;

let opened: Promise<IDBPDatabase<Stores>> | undefined;

function open(): Promise<IDBPDatabase<Stores>> {
  opened ??= openDB<Stores>(NAME, VERSION, {
    upgrade(database) {
      const waiting = database.createObjectStore('waiting', { autoIncrement: true });
      waiting.createIndex('id', 'id', { unique: true });
      waiting.createIndex('person', 'person.id');
      waiting.createIndex('topic', 'topic');
      database.createObjectStore('kept');
    },
    // A page of a later version waits for this one to let go.
    blocking: () => void forget(),
    terminated: () => (opened = undefined),
  }).catch((error: unknown) => {
    opened = undefined;
    throw error;
  });
  return opened;
}

async function forget(): Promise<void> {
  const database = await opened;
  opened = undefined;
  database?.close();
}

/** One change of the box: whole, or not at all. */
async function change<T>(work: (stores: Change) => Promise<T>): Promise<T> {
  const stores = (await open()).transaction(['waiting', 'kept'], 'readwrite');
  const result = await work(stores);
  await stores.done;
  return result;
}

async function add(stores: Change, sendings: readonly Sending[]): Promise<void> {
  const waiting = stores.objectStore('waiting');
  for (const sending of sendings) {
    const there = await waiting.index('id').getKey(sending.id);
    if (there === undefined) await waiting.add(sending);
  }
}

async function remove(stores: Change, id: string): Promise<void> {
  const key = await stores.objectStore('waiting').index('id').getKey(id);
  if (key !== undefined) await stores.objectStore('waiting').delete(key);
}

async function putKept(stores: Change, kept: readonly Kept[]): Promise<void> {
  for (const each of kept) await stores.objectStore('kept').put(each, each.id);
}

/** Puts requests at the end; one that is there already stays where it is. */
export function addWaiting(sendings: readonly Sending[]): Promise<void> {
  return change((stores) => add(stores, sendings));
}

export function removeWaiting(id: string): Promise<void> {
  return change((stores) => remove(stores, id));
}

/** The server would not take it: it is kept, and the others go on. */
export function refuseWaiting(sending: Sending, reason: string, at: string): Promise<void> {
  return change(async (stores) => {
    const { id, person, label } = sending;
    await remove(stores, id);
    await stores.objectStore('kept').put({ id, person, label, reason, at, entry: sending }, id);
  });
}

/** The request that a person entered first of those that wait; one that cannot be read is set aside on the way. */
export function firstWaiting(person: string): Promise<Sending | undefined> {
  return change(async (stores) => {
    let cursor = await stores.objectStore('waiting').index('person').openCursor(person);
    while (cursor !== null) {
      if (sendingSchema.isValidSync(cursor.value)) return cursor.value;
      await putKept(stores, [setAside(cursor.value, UNREADABLE)]);
      await cursor.delete();
      cursor = await cursor.continue();
    }
    return undefined;
  });
}

/** What waits of a topic, in the order of entry. */
export async function waitingOfTopic(topic: string): Promise<readonly Sending[]> {
  const entries = await (await open()).getAllFromIndex('waiting', 'topic', topic);
  return entries.filter((entry) => sendingSchema.isValidSync(entry));
}

/** Sets aside whatever waits and cannot be read, so that it is seen. */
export function setAsideUnreadable(): Promise<void> {
  return change(async (stores) => {
    let cursor = await stores.objectStore('waiting').openCursor();
    while (cursor !== null) {
      if (!sendingSchema.isValidSync(cursor.value)) {
        await putKept(stores, [setAside(cursor.value, UNREADABLE)]);
        await cursor.delete();
      }
      cursor = await cursor.continue();
    }
  });
}

export function addKept(kept: readonly Kept[]): Promise<void> {
  return change((stores) => putKept(stores, kept));
}

export function removeKept(id: string): Promise<void> {
  return change((stores) => stores.objectStore('kept').delete(id));
}

/** Puts what was kept at the end of the queue again, as somebody's own; stays where it is when it is no request. */
export function tryAgain(id: string, person: Person): Promise<void> {
  return change(async (stores) => {
    const kept = await stores.objectStore('kept').get(id);
    const sending: unknown =
      keptSchema.isValidSync(kept) && typeof kept.entry === 'object'
        ? { ...kept.entry, id, person }
        : undefined;
    if (!sendingSchema.isValidSync(sending)) return;
    await add(stores, [sending]);
    await stores.objectStore('kept').delete(id);
  });
}

/** How many requests wait, by person, and what was not taken. */
export interface BoxState {
  readonly waiting: readonly { readonly person: Person; readonly count: number }[];
  readonly kept: readonly Kept[];
}

export async function boxState(): Promise<BoxState> {
  const stores = (await open()).transaction(['waiting', 'kept']);
  const persons = stores.objectStore('waiting').index('person');
  const waiting: { readonly person: Person; readonly count: number }[] = [];
  let cursor = await persons.openCursor(null, 'nextunique');
  while (cursor !== null) {
    const count = await persons.count(cursor.key);
    if (sendingSchema.isValidSync(cursor.value)) waiting.push({ person: cursor.value.person, count });
    cursor = await cursor.continue();
  }
  const entries = await stores.objectStore('kept').getAll();
  const ids = await stores.objectStore('kept').getAllKeys();
  const kept = entries.map((entry, k) =>
    keptSchema.isValidSync(entry) ? entry : { ...setAside(entry, UNREADABLE), id: ids[k] ?? '' },
  );
  return { waiting, kept: kept.sort((a, b) => a.at.localeCompare(b.at)) };
}
