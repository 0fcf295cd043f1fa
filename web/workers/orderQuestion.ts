import { orderGameOf } from '../../core/drill/orderGame.ts';
import type { PlanState } from '../../core/drill/orderGame.ts';
import { CAREFUL, QUICK_LOOK } from '../../core/planning/order/look.ts';
import type { OrderQuestion } from '../../core/planning/order/orderQuestion.ts';
import { COARSE, FINE, FIRST } from '../../core/planning/order/tableDetail.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { shotRulesOf } from '../../core/virtual/shotRules.ts';
import type { OrderAsked } from './orderProtocol.ts';

/** Of the play-outs by which a chance is told. */
export const PLAY_SEED = 4610;

/** How closely a plan is made. */
const CLOSENESS = {
  rough: { detail: FIRST, look: QUICK_LOOK },
  'by level': { detail: COARSE, look: QUICK_LOOK },
  fine: { detail: FINE, look: CAREFUL },
} as const;
export type Closeness = keyof typeof CLOSENESS;

/** What is asked, as the planner takes it: functions do not go from thread to thread. */
export function orderQuestion(asked: OrderAsked, closeness: Closeness): OrderQuestion<PlanState> {
  const { table, balls, order, conditions, error, wishes } = asked;
  const onTable = balls.map(({ id }) => id);
  return {
    table: tableOf(table),
    balls,
    game: orderGameOf(
      order,
      { onTable, last: undefined, suit: undefined },
      { wishes, alternating: conditions.includes('alternating pockets') },
    ),
    ...shotRulesOf(conditions, wishes),
    error,
    ...CLOSENESS[closeness],
  };
}
