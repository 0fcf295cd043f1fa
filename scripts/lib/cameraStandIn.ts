import { fork, type ChildProcess } from 'node:child_process';
import { number, object, string } from 'yup';
import { StartError } from './report.ts';

/** The stand-in as it runs in a process of its own. */
export interface CameraStandIn {
  readonly child: ChildProcess;
  readonly url: string;
  readonly code: string;
}

const toldSchema = object({ port: number().required(), code: string().required() }).required();

/** Starts the camera stand-in on a free port. @param flags as `npm run camera` takes them */
export async function startCamera(...flags: readonly string[]): Promise<CameraStandIn> {
  const child = fork('scripts/camera.ts', ['--port', '0', ...flags], {
    execArgv: ['--import', 'tsx'],
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  const told = await new Promise<unknown>((resolve, reject) => {
    child.once('message', resolve);
    child.once('exit', () => reject(new StartError('The camera stand-in ended while it was starting.')));
  });
  const { port, code } = await toldSchema.validate(told);
  return { child, url: `http://127.0.0.1:${String(port)}`, code };
}

export async function stopCamera(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}
