import { Agent, request, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import { serve } from '@hono/node-server';
import { limitSockets } from '../http/sockets.ts';
import type { TestApp } from './club.ts';

/** The application behind a real socket. */
export interface Listening {
  readonly port: number;
  close(): Promise<void>;
}

export async function listen({ app }: TestApp): Promise<Listening> {
  const server = serve({ fetch: app.fetch, port: 0, hostname: '127.0.0.1' });
  limitSockets(server);
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as AddressInfo;
  return {
    port,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        if ('closeAllConnections' in server) server.closeAllConnections();
      }),
  };
}

interface Asked {
  readonly method?: string;
  readonly cookie?: string;
  readonly headers?: Readonly<Record<string, string>>;
}

/** Asks, and reads nothing of the answer but its head. */
export function ask({ port }: Listening, path: string, { method = 'GET', cookie, headers }: Asked = {}) {
  return new Promise<IncomingMessage>((resolve, reject) => {
    const asking = request(
      {
        host: '127.0.0.1',
        port,
        path,
        method,
        headers: { ...headers, ...(cookie && { cookie }) },
        agent: false,
      },
      resolve,
    );
    asking.on('error', reject);
    asking.end();
  });
}

/**
 * Sends a body in pieces without saying how long it will be, until an answer comes.
 * @returns the answer's status, and how much was sent by then
 */
export function pour(
  { port }: Listening,
  path: string,
  { cookie, pieces, piece }: { readonly cookie?: string; readonly pieces: number; readonly piece: Buffer },
) {
  return new Promise<{ readonly status: number; readonly sent: number }>((resolve, reject) => {
    const agent = new Agent({ keepAlive: true });
    let sent = 0;
    let answered = false;
    const asking = request(
      {
        host: '127.0.0.1',
        port,
        path,
        method: 'POST',
        // A connection that is kept: the server does not close it while the answer is on its way.
        agent,
        headers: {
          'content-type': 'application/json',
          origin: `http://127.0.0.1:${String(port)}`,
          ...(cookie && { cookie }),
        },
      },
      (answer) => {
        answered = true;
        answer.resume();
        answer.once('end', () => agent.destroy());
        resolve({ status: answer.statusCode ?? 0, sent });
      },
    );
    // A server that has answered may close what still comes.
    asking.on('error', (error) => (answered ? undefined : reject(error)));
    // A piece a turn, as a network brings them.
    const more = () => {
      if (answered) return;
      if (sent >= pieces * piece.length) {
        asking.end();
        return;
      }
      sent += piece.length;
      if (asking.write(piece)) setTimeout(more, 1);
      else asking.once('drain', () => setTimeout(more, 1));
    };
    more();
  });
}
