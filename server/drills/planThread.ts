import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Table } from '../../core/table/table.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { knownPlan, planKey, rememberPlan } from './plans.ts';
import type { PlanTask } from './planWorker.ts';

/** Makes sure that a drill's plan on a table is known, so that nobody's answer waits while it is solved. */
export type EnsurePlan = (entry: StoredDrill, stage: number, table: Table) => Promise<void>;

/** A thread that solves drills; the built server has its worker beside it, the source its TypeScript. */
export function openPlanThread(): { readonly ensure: EnsurePlan; close(): Promise<void> } {
  const underWay = new Map<string, Promise<void>>();
  const here = fileURLToPath(import.meta.url);
  const built = !here.endsWith('.ts');
  const threads = new Piscina<PlanTask, PlannedShot | undefined>({
    filename: path.join(path.dirname(here), built ? 'planWorker.js' : 'planWorker.ts'),
    maxThreads: 1,
    minThreads: 0,
    idleTimeout: 30_000,
    // Those who score go first.
    niceIncrement: 5,
    ...(built ? {} : { execArgv: ['--import', 'tsx'] }),
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
