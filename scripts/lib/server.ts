import { fork, type ChildProcess } from 'node:child_process';
import path from 'node:path';
import { number, object } from 'yup';
import type { Measured } from '../../server/measure.ts';
import { StartError } from './report.ts';

/** A slow machine takes a minute and more to play the demo club's months. */
const START_LIMIT_MS = 300_000;

/** Starts the built server in a process of its own and waits until it listens. */
export async function startServer(env: Record<string, string>): Promise<ChildProcess> {
  const child = fork(path.join('dist', 'server', 'main.js'), {
    env: { ...process.env, NODE_ENV: 'production', ...env },
    // Ctrl-C goes to the whole group; the parent passes it on in its own order.
    detached: true,
  });
  await new Promise<void>((resolve, reject) => {
    const timer = setTimeout(() => {
      child.kill('SIGKILL');
      reject(new StartError('The server did not start within five minutes; its messages are above.'));
    }, START_LIMIT_MS);
    child.once('message', () => {
      clearTimeout(timer);
      resolve();
    });
    child.once('exit', (code) => {
      clearTimeout(timer);
      reject(
        new StartError(
          `The server ended while it was starting (exit code ${String(code)}); its messages are above.`,
        ),
      );
    });
  });
  return child;
}

export async function stopServer(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}

const measuredSchema = object({ delayP99: number().required(), residentMB: number().required() }).required();

/** What a server says of itself: how late its turns came since it was asked last, and its memory. */
export async function measureServer(child: ChildProcess): Promise<Measured> {
  const answer = new Promise((resolve) => child.once('message', resolve));
  child.send('measure');
  return measuredSchema.validate(await answer);
}
