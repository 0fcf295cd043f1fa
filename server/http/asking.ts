import { AsyncLocalStorage } from 'node:async_hooks';
import { createMiddleware } from 'hono/factory';

interface Asked {
  readonly method: string;
  readonly path: string;
}

const asking = new AsyncLocalStorage<Asked>();

/** Remembers for whatever a request begins which request it was. */
export const rememberRequest = createMiddleware((c, next) =>
  asking.run({ method: c.req.method, path: c.req.path }, next),
);

/** The request for which something is done just now; undefined outside of any. */
export function requestNow(): Asked | undefined {
  return asking.getStore();
}
