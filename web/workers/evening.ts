import type { EveningAsk } from '../../core/evening/ask.ts';
import type { Timetable } from '../../core/evening/timetable.ts';
import type { EveningSolver } from './eveningProtocol.ts';
import { oneRun, type Running } from './oneRun.ts';

const SEED = 1;

/** Who plays what at which table when, in a thread of its own. */
export function plannedEvening(ask: EveningAsk): Running<Timetable> {
  const worker = new Worker(new URL('./evening.worker.ts', import.meta.url), { type: 'module' });
  return oneRun<EveningSolver, Timetable>(worker, (solver) => solver.plan(ask, SEED));
}
