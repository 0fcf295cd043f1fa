import { createServer } from 'node:net';
import { StartError } from './report.ts';

/** A server that was just killed gives its port free within this time. */
const PATIENCE_MS = 3_000;

function isFree(port: number): Promise<boolean> {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });
}

/** @throws StartError with what to do when the port is not a port, or somebody else has it */
export async function requireFreePort(text: string): Promise<number> {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1 || port > 65_535) {
    throw new StartError(`PORT is "${text}"; it must be a number from 1 to 65535.`);
  }
  const end = Date.now() + PATIENCE_MS;
  while (!(await isFree(port))) {
    if (Date.now() > end) {
      throw new StartError(
        `Port ${text} is taken by another program. Stop that one, or choose another port: PORT=${String(port + 1)} npm start`,
      );
    }
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  return port;
}
