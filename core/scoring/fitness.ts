import type { Benchmark } from '../records/benchmark.ts';
import type { Drill } from '../records/drill.ts';
import { separationOf, shotsOfRound, type Separation } from './separation.ts';

/** What a drill's rounds are good for when players are rated. */
export type Fitness =
  | { readonly kind: 'fit'; readonly separation: Separation }
  /** Its levels score too much alike. */
  | { readonly kind: 'tells nothing'; readonly separation: Separation };

/** Whether rounds of a drill's stage feed ratings, by how well its benchmark tells levels apart. */
export function fitnessOf(drill: Pick<Drill, 'scoring'>, benchmark: Benchmark): Fitness {
  const separation = separationOf(benchmark, shotsOfRound(drill));
  return { kind: separation.tellsApart ? 'fit' : 'tells nothing', separation };
}
