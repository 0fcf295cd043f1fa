import { wrap, type Remote } from 'comlink';

/** Work in a thread of its own. */
export interface Running<T> {
  readonly answer: Promise<T>;
  /** Ends the thread: the answer never comes. */
  readonly stop: () => void;
}

/** Runs one call in a worker that serves nothing else, and ends with it. */
export function oneRun<Solver, T>(worker: Worker, call: (solver: Remote<Solver>) => Promise<T>): Running<T> {
  const answer = new Promise<T>((resolve, reject) => {
    worker.addEventListener('error', (event) => reject(new Error(event.message)));
    call(wrap<Solver>(worker)).then(resolve, reject);
  }).finally(() => worker.terminate());
  return { answer, stop: () => worker.terminate() };
}
