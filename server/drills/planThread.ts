import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Table } from '../../core/table/table.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { knownPlan, planKey, rememberPlan } from './plans.ts';
import type { PlanTask } from './planWorker.ts';
import { openThread } from '../threads/openThread.ts';

/** Makes sure that a drill's plan on a table is known, so that nobody's answer waits while it is solved. */
export type EnsurePlan = (entry: StoredDrill, stage: number, table: Table) => Promise<void>;

/** A thread that solves drills. */
export function openPlanThread(): { readonly ensure: EnsurePlan; close(): Promise<void> } {
  const underWay = new Map<string, Promise<void>>();
  const threads = openThread<PlanTask, PlannedShot | undefined>({
    from: import.meta.url,
    source: 'planWorker',
    built: 'planWorker',
    // Those who score go first.
    niceIncrement: 5,
  });
  return {
    ensure(entry, stage, table) {
      const key = planKey(entry, stage, table);
      if (knownPlan(key)) return Promise.resolve();
      // Whoever comes while it is solved waits for the same.
      const solving =
        underWay.get(key) ??
        threads
          .run({ document: entry.document, stage, table })
          .then((plan) => plan && rememberPlan(key, plan))
          .finally(() => underWay.delete(key));
      underWay.set(key, solving);
      return solving;
    },
    close: () => threads.destroy(),
  };
}
