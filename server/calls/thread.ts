import { openThread } from '../threads/openThread.ts';
import type { CallScores, CallTask } from './worker.ts';

export type ScoreCall = (task: CallTask) => Promise<CallScores>;

/** A thread that scores calls. */
export function openCallThread(): { readonly score: ScoreCall; close(): Promise<void> } {
  const thread = openThread<CallTask, CallScores>({
    from: import.meta.url,
    source: 'worker',
    built: 'callWorker',
  });
  return { score: (task) => thread.run(task), close: () => thread.destroy() };
}
