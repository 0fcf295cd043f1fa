import { proxy } from 'comlink';
import type { BreakStudy } from '../../core/virtual/breaks/breakStudy.ts';
import type { BreakAsked, BreakSolver } from './breakProtocol.ts';
import { oneRun, type Running } from './oneRun.ts';

/** A break played many times, in a thread of its own: to stop it is to end the thread. */
export function breakStudyOf(asked: BreakAsked, onShare: (share: number) => void): Running<BreakStudy> {
  const worker = new Worker(new URL('./break.worker.ts', import.meta.url), { type: 'module' });
  return oneRun<BreakSolver, BreakStudy>(worker, (solver) => solver.study(asked, proxy(onShare)));
}
