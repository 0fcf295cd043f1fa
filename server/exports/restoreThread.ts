import { Refusal } from '../http/errors.ts';
import type { RestorePlace } from './restore.ts';
import type { RestoreAnswer, RestoreTask } from './restoreWorker.ts';
import { openThread } from '../threads/openThread.ts';

/** A large backup, and what is made of it. */
const HEAP_MB = 2_048;

/** Brings backups back, one at a time. */
export type Restore = (place: RestorePlace, file: Uint8Array) => Promise<void>;

/** A thread for backups. */
export function openRestoreThread(url: string): { readonly restore: Restore; close(): Promise<void> } {
  const threads = openThread<RestoreTask, RestoreAnswer>({
    from: import.meta.url,
    source: 'restoreWorker',
    built: 'restoreWorker',
    resourceLimits: { maxOldGenerationSizeMb: HEAP_MB },
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
