import { isUnplayable, planShot, type PlannedShot } from '../../core/drill/plannedShot.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage } from '../../core/drill/stage.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { Table } from '../../core/table/table.ts';

/** A drill's stage on a table. */
export interface PlanTask {
  readonly document: Drill;
  readonly stage: number;
  readonly table: Table;
}

/** Solves a drill's planned stroke in a thread of its own; undefined where it cannot be played. */
export default function plan({ document, stage, table }: PlanTask): PlannedShot | undefined {
  const drill = atStage(document, stage);
  if (!isPositionDrill(drill)) return undefined;
  try {
    return planShot(drill, table);
  } catch (error) {
    // Why it cannot be played is told to whoever wants to play it.
    if (isUnplayable(error)) return undefined;
    throw error;
  }
}
