import { CUE_BALL } from '../drill/layout.ts';
import { NO_WISHES, type OrderWishes } from '../planning/order/wishes.ts';
import type { ShotRules } from '../planning/order/shotTable.ts';
import type { Condition, Drill } from '../records/drill.ts';
import { brokenConditions } from './choosePot.ts';

/** Conditions that a plan cannot keep: it would break them without a word. */
export const UNPLANNED: readonly Condition[] = ['cushion first'];

/** Whether a drill asks for a clearance that a plan can keep to. */
export function isPlannable({ task, conditions }: Pick<Drill, 'task' | 'conditions'>): boolean {
  return task.kind === 'clear' && !conditions.some((condition) => UNPLANNED.includes(condition));
}

/** What a plan has to keep of each shot, by a drill's conditions and by wishes. */
export function shotRulesOf(
  conditions: readonly Condition[],
  { pockets }: OrderWishes = NO_WISHES,
): ShotRules {
  return {
    noRest: conditions.includes('no rest'),
    ...(pockets.length > 0 && { pockets: new Map(pockets.map(({ ball, pocket }) => [ball, pocket])) }),
    ...(conditions.length > 0 && {
      allowed: (result, { ball, pocket }) =>
        brokenConditions(conditions, result, { cue: CUE_BALL, object: ball, pocket, lastPocket: undefined })
          .length === 0,
    }),
  };
}
