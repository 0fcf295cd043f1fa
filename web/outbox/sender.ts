import { ApiError, call, OfflineError } from '../api/client.ts';
import { firstWaiting, refuseWaiting, removeWaiting } from './box.ts';
import { onNewSending, recovered, setOwner, setStatus, showBox } from './outbox.ts';
import type { Person, Sending } from './sending.ts';

const FIRST_PAUSE_MS = 1_000;
const LONGEST_PAUSE_MS = 15_000;
/** A request that is not answered for so long is taken for lost, ms. */
const ANSWER_WITHIN_MS = 20_000;
/** The server may fail so often at one request before it is set aside for the others behind it. */
const MOST_FAILURES = 4;

type Attempted =
  | { readonly kind: 'sent' }
  | { readonly kind: 'offline' }
  | { readonly kind: 'signed-out' }
  | { readonly kind: 'failed'; readonly reason: string }
  | { readonly kind: 'refused'; readonly reason: string };

async function attempt({ method, path, body, person }: Sending): Promise<Attempted> {
  try {
    await call(method, path, body ?? undefined, { as: person.id, withinMs: ANSWER_WITHIN_MS });
    return { kind: 'sent' };
  } catch (error) {
    if (error instanceof OfflineError) return { kind: 'offline' };
    if (!(error instanceof ApiError)) throw error;
    if (error.status === 401) return { kind: 'signed-out' };
    // Too many at once passes by itself; the server's own trouble may.
    if (error.status === 429 || error.status === 503) return { kind: 'offline' };
    if (error.status >= 500) return { kind: 'failed', reason: error.message };
    return { kind: 'refused', reason: error.message };
  }
}

/**
 * Sends what waits of a person for as long as the page is open; only one page of a browser does so for
 * them at a time.
 */
export function startSending(person: Person): () => void {
  const stop = new AbortController();
  let wake: (() => void) | undefined;
  const pause = (ms: number) =>
    new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, ms);
      wake = () => {
        clearTimeout(timer);
        resolve();
      };
    });
  const wakeUp = () => wake?.();
  window.addEventListener('online', wakeUp);
  const forget = onNewSending(wakeUp);

  async function run(): Promise<void> {
    await recovered();
    let wait = FIRST_PAUSE_MS;
    const failures = new Map<string, number>();
    while (!stop.signal.aborted) {
      const first = await firstWaiting(person.id);
      await showBox();
      if (first === undefined) {
        setStatus({ offline: false, signedOut: false });
        await pause(LONGEST_PAUSE_MS);
        continue;
      }
      const tried = await attempt(first);
      setStatus({
        offline: tried.kind === 'offline' || tried.kind === 'failed',
        signedOut: tried.kind === 'signed-out',
      });
      if (tried.kind === 'sent') {
        await removeWaiting(first.id);
        wait = FIRST_PAUSE_MS;
        continue;
      }
      const failed = (failures.get(first.id) ?? 0) + (tried.kind === 'failed' ? 1 : 0);
      failures.set(first.id, failed);
      if (tried.kind === 'refused' || (tried.kind === 'failed' && failed >= MOST_FAILURES)) {
        const at = new Date().toISOString();
        await refuseWaiting(first, tried.reason, at);
        continue;
      }
      await pause(wait);
      wait = Math.min(2 * wait, LONGEST_PAUSE_MS);
    }
  }

  void setOwner(person);
  navigator.locks
    .request(`jolly-outbox:${person.id}`, { signal: stop.signal }, run)
    .catch((error: unknown) => {
      if (!stop.signal.aborted) throw error;
    });
  return () => {
    stop.abort();
    forget();
    window.removeEventListener('online', wakeUp);
    wakeUp();
  };
}
