import { proxy, wrap } from 'comlink';
import type { OrderAsked, OrderSolver, OrderTold } from './orderProtocol.ts';

/** A plan under way, in a thread of its own: to stop it is to end the thread. */
interface Planning {
  readonly answer: Promise<OrderTold>;
  readonly stop: () => void;
}

/** @param onRough told as soon as there is a rough plan */
export function planInWorker(asked: OrderAsked, onRough: (answer: OrderTold) => void): Planning {
  const worker = new Worker(new URL('./order.worker.ts', import.meta.url), { type: 'module' });
  const answer = new Promise<OrderTold>((resolve, reject) => {
    worker.addEventListener('error', (event) => reject(new Error(event.message)));
    wrap<OrderSolver>(worker).plan(asked, proxy(onRough)).then(resolve, reject);
  }).finally(() => worker.terminate());
  return { answer, stop: () => worker.terminate() };
}
