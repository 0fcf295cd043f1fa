import { proxy, type Remote } from 'comlink';
import { oneRun, type Running } from './oneRun.ts';
import type { LevelTold, OrderAsked, OrderSolver, OrderTold } from './orderProtocol.ts';

function inWorker<T>(work: (solver: Remote<OrderSolver>) => Promise<T>): Running<T> {
  return oneRun(new Worker(new URL('./order.worker.ts', import.meta.url), { type: 'module' }), work);
}

/** @param onTold told of each answer on the way to the one that stays */
export function planInWorker(asked: OrderAsked, onTold: (answer: OrderTold) => void): Running<OrderTold> {
  return inWorker<OrderTold>(async (solver) => solver.plan(asked, proxy(onTold)));
}

/** The plan for each level. @param onLevel told of each as it is there */
export function planLevels(asked: OrderAsked, onLevel: (told: LevelTold) => void): Running<void> {
  return inWorker((solver) => solver.levels(asked, proxy(onLevel)));
}
