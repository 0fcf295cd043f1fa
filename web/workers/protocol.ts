import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Benchmark } from '../../core/records/benchmark.ts';
import type { Drill } from '../../core/records/drill.ts';

/** What the solver's worker does; types only, so that both sides can share it. */
export interface Solver {
  plan(drill: Drill): PlannedShot;
  /** @param stage number from 1; @param onProgress called with the share that is done, 0…1 */
  benchmark(drill: Drill, stage: number, onProgress: (share: number) => void): Promise<Benchmark>;
}
