import type { CallKind } from '../judgement/kinds.ts';
import { poseFromPlan } from '../judgement/pose.ts';
import type { CallQuestion } from '../judgement/question.ts';
import type { Table } from '../table/table.ts';
import { plannedStroke, isUnplayable } from './plannedShot.ts';
import type { PositionDrill } from './positionDrill.ts';

/** Asks about a drill's planned stroke; undefined when it gives nothing to ask of this kind. */
export function poseDrill(drill: PositionDrill, table: Table, kind: CallKind): CallQuestion | undefined {
  try {
    const { shot } = plannedStroke(drill, table);
    const { pot, pocket, next } = drill.task;
    return poseFromPlan(kind, { shot, pot, pocket }, next.ball, next.pocket);
  } catch (error) {
    if (isUnplayable(error)) return undefined;
    throw error;
  }
}
