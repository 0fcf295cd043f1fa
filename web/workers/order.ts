import { proxy, wrap, type Remote } from 'comlink';
import type { LevelTold, OrderAsked, OrderSolver, OrderTold } from './orderProtocol.ts';

/** Work under way, in a thread of its own: to stop it is to end the thread. */
interface Working<T> {
  readonly answer: Promise<T>;
  readonly stop: () => void;
}

function inWorker<T>(work: (solver: Remote<OrderSolver>) => Promise<T>): Working<T> {
  const worker = new Worker(new URL('./order.worker.ts', import.meta.url), { type: 'module' });
  const answer = new Promise<T>((resolve, reject) => {
    worker.addEventListener('error', (event) => reject(new Error(event.message)));
    work(wrap<OrderSolver>(worker)).then(resolve, reject);
  }).finally(() => worker.terminate());
  return { answer, stop: () => worker.terminate() };
}

/** @param onRough told as soon as there is a rough plan */
export function planInWorker(asked: OrderAsked, onRough: (answer: OrderTold) => void): Working<OrderTold> {
  return inWorker<OrderTold>(async (solver) => solver.plan(asked, proxy(onRough)));
}

/** The plan for each level. @param onLevel told of each as it is there */
export function planLevels(asked: OrderAsked, onLevel: (told: LevelTold) => void): Working<void> {
  return inWorker((solver) => solver.levels(asked, proxy(onLevel)));
}
