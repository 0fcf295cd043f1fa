import { wrap, type Remote } from 'comlink';
import type { Planner } from './plannerProtocol.ts';

function start(): Remote<Planner> {
  return wrap<Planner>(new Worker(new URL('./planner.worker.ts', import.meta.url), { type: 'module' }));
}

let quick: Remote<Planner> | undefined;
let searching: Remote<Planner> | undefined;

/** Answers what is shown while a ball is moved: never behind a search. */
export function quickPlanner(): Remote<Planner> {
  quick ??= start();
  return quick;
}

/** Searches; of each kind the next one takes the place of the one under way. */
export function searchPlanner(): Remote<Planner> {
  searching ??= start();
  return searching;
}
