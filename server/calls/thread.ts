import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import type { CallScores, CallTask } from './worker.ts';

export type ScoreCall = (task: CallTask) => Promise<CallScores>;

/** A thread that scores calls; the built server has its worker beside it, the source its TypeScript. */
export function openCallThread(): { readonly score: ScoreCall; close(): Promise<void> } {
  const here = fileURLToPath(import.meta.url);
  const built = !here.endsWith('.ts');
  const threads = new Piscina<CallTask, CallScores>({
    filename: path.join(path.dirname(here), built ? 'callWorker.js' : 'worker.ts'),
    maxThreads: 1,
    minThreads: 0,
    idleTimeout: 30_000,
    ...(built ? {} : { execArgv: ['--import', 'tsx'] }),
  });
  return { score: (task) => threads.run(task), close: () => threads.destroy() };
}
