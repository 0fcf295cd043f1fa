import { vi } from 'vitest';

/** The browser's database, in memory; a test mocks idb-keyval by it. */
export function databaseInMemory() {
  const values = new Map<string, unknown>();
  return {
    values,
    get: (key: string) => Promise.resolve(structuredClone(values.get(key))),
    set: (key: string, value: unknown) => {
      values.set(key, structuredClone(value));
      return Promise.resolve();
    },
    update: (key: string, change: (value: unknown) => unknown) => {
      values.set(key, structuredClone(change(structuredClone(values.get(key)))));
      return Promise.resolve();
    },
    del: (key: string) => {
      values.delete(key);
      return Promise.resolve();
    },
  };
}

/** One page at a time holds a lock, as in a browser. */
export function stubLocks(): void {
  const held = new Map<string, Promise<unknown>>();
  vi.stubGlobal('navigator', {
    locks: {
      request: (name: string, { signal }: { readonly signal: AbortSignal }, work: () => Promise<unknown>) => {
        const before = held.get(name) ?? Promise.resolve();
        const mine = before.then(() => (signal.aborted ? undefined : work()));
        held.set(name, mine);
        return mine;
      },
    },
  });
}

/** What a server was asked, and the answers it gives: by default it takes everything. */
export function stubServer() {
  const asked: {
    readonly path: string;
    readonly method: string;
    readonly as: string | null;
    readonly body: unknown;
    readonly status: number;
  }[] = [];
  let answer: (path: string, as: string | null) => Response | 'unreached' = () => new Response('{}');
  vi.stubGlobal('fetch', (address: string, init: RequestInit) => {
    const path = address.replace('/api', '');
    const as = new Headers(init.headers).get('x-jolly-person');
    const reply = answer(path, as);
    if (reply === 'unreached') return Promise.reject(new TypeError('no network'));
    const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : null;
    asked.push({ path, method: init.method ?? 'GET', as, body, status: reply.status });
    return Promise.resolve(reply);
  });
  return {
    asked,
    answer: (next: typeof answer) => {
      answer = next;
    },
  };
}

export function refusal(status: number, message: string): Response {
  return new Response(JSON.stringify({ error: { message, field: null } }), { status });
}
