import { availableParallelism } from 'node:os';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import type { PartResult } from '../../core/virtual/benchmarkRounds.ts';
import type { RunPart } from './queue.ts';
import type { PartTask } from './worker.ts';

/** One core is left for those who wait for an answer. */
export const THREADS = Math.max(1, availableParallelism() - 1);

/** A part of a benchmark can wait; a score that is being sent cannot. */
const LEAST_URGENT = 19;

/** Worker threads that compute parts of benchmarks; the built server has the worker beside it, the source its TypeScript. */
export function openThreads(): { readonly run: RunPart; close(): Promise<void> } {
  const here = fileURLToPath(import.meta.url);
  const built = !here.endsWith('.ts');
  const threads = new Piscina<PartTask, PartResult>({
    filename: path.join(path.dirname(here), built ? 'benchmarkWorker.js' : 'worker.ts'),
    maxThreads: THREADS,
    minThreads: 0,
    idleTimeout: 5_000,
    niceIncrement: LEAST_URGENT,
    ...(built ? {} : { execArgv: ['--import', 'tsx'] }),
  });
  return {
    run: (task) => threads.run(task),
    close: () => threads.destroy(),
  };
}
