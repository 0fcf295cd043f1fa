import type { Benchmark } from '../records/benchmark.ts';
import type { Drill } from '../records/drill.ts';
import { separationOf, shotsOfRound, type Separation } from './separation.ts';

/** What a drill's rounds are good for when players are rated. */
export type Fitness =
  | { readonly kind: 'fit'; readonly separation: Separation }
  /** Its levels score too much alike. */
  | { readonly kind: 'tells nothing'; readonly separation: Separation }
  /** Virtual players do not play this kind of drill as real ones do: their scores are shown and judge nobody. */
  | { readonly kind: 'waiting' };

/** Tasks that virtual players do not plan well enough: racks. */
const WAITING: readonly Drill['task']['kind'][] = ['break'];

/** Whether a drill feeds no rating yet, whatever its benchmark says. */
export function isWaiting({ task }: Pick<Drill, 'task'>): boolean {
  return WAITING.includes(task.kind);
}

/** Whether rounds of a drill's stage feed ratings, by how well its benchmark tells levels apart. */
export function fitnessOf(drill: Pick<Drill, 'task' | 'scoring'>, benchmark: Benchmark): Fitness {
  if (isWaiting(drill)) return { kind: 'waiting' };
  const separation = separationOf(benchmark, shotsOfRound(drill));
  return { kind: separation.tellsApart ? 'fit' : 'tells nothing', separation };
}
