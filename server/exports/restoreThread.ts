import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { Refusal } from '../http/errors.ts';
import type { RestorePlace } from './restore.ts';
import type { RestoreAnswer, RestoreTask } from './restoreWorker.ts';

/** A large backup, and what is made of it. */
const HEAP_MB = 2_048;

/** Brings backups back, one at a time. */
export type Restore = (place: RestorePlace, file: Uint8Array) => Promise<void>;

/** A thread for backups; the built server has its worker beside it, the source its TypeScript. */
export function openRestoreThread(url: string): { readonly restore: Restore; close(): Promise<void> } {
  const here = fileURLToPath(import.meta.url);
  const built = !here.endsWith('.ts');
  const threads = new Piscina<RestoreTask, RestoreAnswer>({
    filename: path.join(path.dirname(here), built ? 'restoreWorker.js' : 'restoreWorker.ts'),
    maxThreads: 1,
    minThreads: 0,
    idleTimeout: 1_000,
    resourceLimits: { maxOldGenerationSizeMb: HEAP_MB },
    ...(built ? {} : { execArgv: ['--import', 'tsx'] }),
  });
  return {
    async restore(place, file) {
      const answer = await threads.run({ url, place, file });
      if (answer.kind === 'done') return;
      const status = ([400, 409, 413, 429] as const).find((each) => each === answer.status) ?? 400;
      throw new Refusal(status, answer.message, answer.field ?? undefined);
    },
    close: () => threads.destroy(),
  };
}
