import { addWaiting, boxState, removeKept, setAsideUnreadable, tryAgain, waitingOfTopic } from './box.ts';
import { takeOverEarly } from './early.ts';
import { readJournal, strikeFromJournal, writeToJournal } from './journal.ts';
import type { Kept } from './kept.ts';
import { sendingOf, type Person, type Request, type Sending } from './sending.ts';

/**
 * What was entered and is not yet stored by the server: scores, calls, ticks. It is written into the journal at once,
 * from there into the browser's database, and sent in order as soon as its owner is signed in and the server is
 * reached (sender.ts). At every moment it stands in the journal, in the database or in both until it is acknowledged.
 */

export interface OutboxStatus {
  /** Of whoever is signed in. */
  readonly waiting: number;
  /** Of others who used this device: by name, how many. */
  readonly others: readonly { readonly name: string; readonly waiting: number }[];
  /** The last try did not reach the server. */
  readonly offline: boolean;
  /** The session ran out: what waits is sent after the next sign-in. */
  readonly signedOut: boolean;
  /** What the server would not take from whoever is signed in, and what is nobody's. */
  readonly kept: readonly Kept[];
}

let status: OutboxStatus = { waiting: 0, others: [], offline: false, signedOut: false, kept: [] };
let owner: Person | undefined;
const listeners = new Set<() => void>();
const wakers = new Set<() => void>();

export function setStatus(change: Partial<OutboxStatus>): void {
  status = { ...status, ...change };
  listeners.forEach((listener) => listener());
}

export function outboxStatus(): OutboxStatus {
  return status;
}

export function onOutboxChange(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Calls back when there is something new to send. */
export function onNewSending(waker: () => void): () => void {
  wakers.add(waker);
  return () => wakers.delete(waker);
}

export function wakeSender(): void {
  wakers.forEach((wake) => wake());
}

/** Tells whoever looks how the box stands. */
export async function showBox(): Promise<void> {
  const { waiting, kept } = await boxState();
  setStatus({
    waiting: waiting.find(({ person }) => person.id === owner?.id)?.count ?? 0,
    others: waiting
      .filter(({ person }) => person.id !== owner?.id)
      .map(({ person, count }) => ({ name: person.name, waiting: count })),
    kept: kept.filter(({ person }) => person === null || person.id === owner?.id),
  });
}

/** One writing after the other, so that the queue has the order of the taps. */
let writing: Promise<void> = Promise.resolve();

export function inOrder(work: () => Promise<void>): Promise<void> {
  writing = writing.then(work, work);
  return writing;
}

/**
 * Keeps requests of a person and sends them when that can be. They are in the journal when this returns.
 * @returns the ids by which the requests are known until the server has them, and when they are in the database
 */
export function keep(
  person: Person,
  requests: readonly Request[],
): { readonly ids: readonly string[]; readonly stored: Promise<void> } {
  const sendings = requests.map((request) => sendingOf(request, person));
  const entry = { id: crypto.randomUUID(), sendings };
  writeToJournal(entry);
  const stored = inOrder(async () => {
    await addWaiting(sendings);
    strikeFromJournal(entry.id);
    await showBox();
    wakeSender();
  });
  return { ids: sendings.map(({ id }) => id), stored };
}

/**
 * What of a topic the server has not acknowledged yet, in the order of entry. The journal is read first: a request
 * leaves it only once it is in the box.
 */
export async function waitingOn(topic: string): Promise<readonly Sending[]> {
  const inJournal = readJournal().flatMap(({ sendings }) => sendings);
  const waiting = await waitingOfTopic(topic);
  const there = new Set(waiting.map(({ id }) => id));
  return [...waiting, ...inJournal.filter((sending) => sending.topic === topic && !there.has(sending.id))];
}

/** Sends again what the server would not take. @param person as whom */
export async function sendAgain(id: string, person: Person): Promise<void> {
  await tryAgain(id, person);
  await showBox();
  wakeSender();
}

/** Takes out what is kept, once its owner has it as a file. */
export async function takeOut(id: string): Promise<void> {
  await removeKept(id);
  await showBox();
}

/** Says who is signed in: theirs is sent and shown. */
export async function setOwner(person: Person | undefined): Promise<void> {
  owner = person;
  await showBox();
}

let recovery: Promise<void> | undefined;

/** Takes up what the page before this one could no longer store, once; each request may be sent again without harm. */
export function recovered(): Promise<void> {
  recovery ??= inOrder(async () => {
    for (const entry of readJournal()) {
      await addWaiting(entry.sendings);
      strikeFromJournal(entry.id);
    }
    await takeOverEarly();
    await setAsideUnreadable();
    await showBox();
  });
  return recovery;
}
