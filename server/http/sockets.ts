import type { ServerType } from '@hono/node-server';
import type { Context } from 'hono';

/** A request's head, the whole of it, and a connection without a sign of life may take so long, ms. */
const HEAD_MS = 15_000;
const REQUEST_MS = 300_000;
const SILENT_MS = 60_000;
const IDLE_MS = 20_000;
/** What takes long on purpose. */
const PATIENT_MS = 900_000;

/** Lets go of those who do not finish what they ask, and of those who do not read what they are answered. */
export function limitSockets(server: ServerType): void {
  if (!('headersTimeout' in server)) return;
  server.headersTimeout = HEAD_MS;
  server.requestTimeout = REQUEST_MS;
  server.keepAliveTimeout = IDLE_MS;
  // Without a listener of its own the server destroys a silent socket, half open or half read.
  server.timeout = SILENT_MS;
}

interface NodeBindings {
  readonly incoming?: { readonly socket?: { setTimeout(ms: number): unknown } };
}

/** Has patience with this request's connection: its answer takes long. */
export function bePatient(c: Context): void {
  // Asked without a socket, as tests do, there is none.
  const env = c.env as NodeBindings | undefined;
  env?.incoming?.socket?.setTimeout(PATIENT_MS);
}
