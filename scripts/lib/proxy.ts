import {
  Agent,
  createServer,
  request,
  type IncomingMessage,
  type Server,
  type ServerResponse,
} from 'node:http';

/** A small proxy before several servers: the one that answers gets the requests, until it does not. */
export interface Proxy {
  readonly port: number;
  close(): Promise<void>;
}

const ANSWER_MS = 20_000;

/** @param targets ports of the servers on loopback */
export async function startProxy(targets: readonly number[]): Promise<Proxy> {
  const agent = new Agent({ keepAlive: true });
  let current = 0;
  const server: Server = createServer((asked, answer) => {
    const pieces: Buffer[] = [];
    asked.on('data', (piece: Buffer) => pieces.push(piece));
    asked.on('end', () => {
      pass(asked, Buffer.concat(pieces), answer, targets.length);
    });
  });

  function pass(asked: IncomingMessage, body: Buffer, answer: ServerResponse, tries: number): void {
    const at = current;
    const onward = request(
      {
        host: '127.0.0.1',
        port: targets[at % targets.length],
        path: asked.url,
        method: asked.method,
        agent,
        timeout: ANSWER_MS,
        headers: { ...asked.headers, 'x-forwarded-for': asked.socket.remoteAddress ?? 'unknown' },
      },
      (reply) => {
        answer.writeHead(reply.statusCode ?? 502, reply.headers);
        reply.pipe(answer);
        reply.on('error', () => answer.destroy());
      },
    );
    onward.on('timeout', () => onward.destroy(new Error('no answer')));
    onward.on('error', () => {
      if (answer.headersSent) {
        answer.destroy();
        return;
      }
      // This one is gone: the next is asked, with the same, which every route takes twice.
      if (current === at) current++;
      if (tries > 1) pass(asked, body, answer, tries - 1);
      else answer.writeHead(502).end();
    });
    onward.end(body);
  }

  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  return {
    port: typeof address === 'object' && address !== null ? address.port : 0,
    close: () =>
      new Promise((resolve) => {
        agent.destroy();
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}
