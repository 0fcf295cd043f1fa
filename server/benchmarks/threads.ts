import { availableParallelism } from 'node:os';
import type { PartResult } from '../../core/virtual/benchmarkRounds.ts';
import { openThread } from '../threads/openThread.ts';
import type { RunPart } from './queue.ts';
import type { PartTask } from './worker.ts';

/** One core is left for those who wait for an answer. */
export const THREADS = Math.max(1, availableParallelism() - 1);

/** A part of a benchmark can wait; a score that is being sent cannot. */
const LEAST_URGENT = 19;

/** Worker threads that compute parts of benchmarks. */
export function openThreads(): { readonly run: RunPart; close(): Promise<void> } {
  const threads = openThread<PartTask, PartResult>({
    from: import.meta.url,
    source: 'worker',
    built: 'benchmarkWorker',
    maxThreads: THREADS,
    niceIncrement: LEAST_URGENT,
  });
  return {
    run: (task) => threads.run(task),
    close: () => threads.destroy(),
  };
}
