import { get, update } from 'idb-keyval';
import { array, mixed, object, string, type InferType } from 'yup';
import { ApiError, call, OfflineError } from '../api/client.ts';

/**
 * What was scored and is not yet stored by the server. Kept in the browser's database first and sent in order
 * when the server can be reached; every request may be sent again without harm, so a lost reply costs nothing.
 */
export const sendingSchema = object({
  roundId: string().required(),
  method: string()
    .oneOf(['PUT', 'POST', 'DELETE'] as const)
    .required(),
  path: string().required(),
  body: mixed().defined().nullable(),
  /** For the notice when the server refuses it. */
  label: string().required(),
}).required();
const boxSchema = array(sendingSchema).required();
export type Sending = InferType<typeof sendingSchema>;

export interface OutboxStatus {
  readonly waiting: number;
  /** The last try did not reach the server. */
  readonly offline: boolean;
  /** The session ran out: what waits is sent after the next sign-in. */
  readonly signedOut: boolean;
  /** What the server would not take, with its reason. */
  readonly refused: readonly string[];
}

const BOX = 'outbox';
const FIRST_PAUSE_MS = 1_000;
const LONGEST_PAUSE_MS = 15_000;

let status: OutboxStatus = { waiting: 0, offline: false, signedOut: false, refused: [] };
const listeners = new Set<() => void>();
let wake: (() => void) | undefined;

function setStatus(change: Partial<OutboxStatus>): void {
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

export function forgetRefusals(): void {
  setStatus({ refused: [] });
}

async function readBox(): Promise<Sending[]> {
  return boxSchema.validate((await get<unknown>(BOX)) ?? []);
}

async function changeBox(change: (box: Sending[]) => Sending[]): Promise<void> {
  let size = 0;
  await update<Sending[]>(BOX, (box) => {
    const next = change(box ?? []);
    size = next.length;
    return next;
  });
  setStatus({ waiting: size });
}

/** Puts a request at the end of the queue; it is kept once the promise is fulfilled. */
export async function enqueue(sending: Sending): Promise<void> {
  await changeBox((box) => [...box, sending]);
  wake?.();
}

/** Whether something of this round has not been sent yet. */
export async function isWaiting(roundId: string): Promise<boolean> {
  return (await readBox()).some((sending) => sending.roundId === roundId);
}

type Attempted = 'sent' | 'offline' | 'signed-out';

async function sendFirst(first: Sending): Promise<Attempted> {
  try {
    await call(first.method, first.path, first.body ?? undefined);
  } catch (error) {
    if (error instanceof OfflineError) return 'offline';
    if (!(error instanceof ApiError)) throw error;
    if (error.status === 401) return 'signed-out';
    // The server's own trouble passes; its refusal does not.
    if (error.status >= 500 || error.status === 429) return 'offline';
    setStatus({ refused: [...status.refused, `${first.label}: ${error.message}`] });
  }
  await changeBox((box) => box.slice(1));
  return 'sent';
}

/** Sends what waits for as long as the page is open; only one page of a browser does so at a time. */
export function startSending(): () => void {
  const stop = new AbortController();
  const wakeUp = () => wake?.();
  window.addEventListener('online', wakeUp);
  const pause = (ms: number) =>
    new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, ms);
      wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });

  async function run(): Promise<void> {
    let wait = FIRST_PAUSE_MS;
    while (!stop.signal.aborted) {
      const [first, ...others] = await readBox();
      if (first === undefined) {
        setStatus({ waiting: 0, offline: false });
        await pause(LONGEST_PAUSE_MS);
        continue;
      }
      setStatus({ waiting: others.length + 1 });
      const attempted = await sendFirst(first);
      setStatus({ offline: attempted === 'offline', signedOut: attempted === 'signed-out' });
      if (attempted === 'sent') {
        wait = FIRST_PAUSE_MS;
      } else {
        await pause(wait);
        wait = Math.min(2 * wait, LONGEST_PAUSE_MS);
      }
    }
  }

  navigator.locks.request('jolly-outbox', { signal: stop.signal }, run).catch((error: unknown) => {
    if (!stop.signal.aborted) throw error;
  });
  return () => {
    stop.abort();
    window.removeEventListener('online', wakeUp);
    wake?.();
  };
}
