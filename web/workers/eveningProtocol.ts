import type { EveningAsk } from '../../core/evening/ask.ts';
import type { Timetable } from '../../core/evening/timetable.ts';

/** What the worker for evenings does. */
export interface EveningSolver {
  plan(ask: EveningAsk, seed: number): Promise<Timetable>;
}
