import { expose } from 'comlink';
import { orderGameOf, suitChoices } from '../../core/drill/orderGame.ts';
import { planOrder } from '../../core/planning/order/orderPlan.ts';
import { CAREFUL, QUICK_LOOK } from '../../core/planning/order/look.ts';
import { FINE, GLANCE } from '../../core/planning/order/shotTable.ts';
import { shotRulesOf } from '../../core/virtual/shotRules.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import type { OrderAsked, OrderSolver, OrderTold } from './orderProtocol.ts';

const SEED = 4610;
/** Fresh play-outs of the rough plan, and of the one that stays. */
const ROUGH_PLAYS = 10;
const PLAYS = 60;

function answer(asked: OrderAsked, rough: boolean): OrderTold {
  const { table, balls, cue, places, order, conditions, error, wishes } = asked;
  const onTable = balls.map(({ id }) => id);
  const game = orderGameOf(
    order,
    { onTable, last: undefined, suit: undefined },
    { wishes, alternating: conditions.includes('alternating pockets') },
  );
  const planned = planOrder({
    table: tableOf(table),
    balls,
    game,
    ...shotRulesOf(conditions, wishes),
    error,
    cue,
    places,
    ...(rough ? { detail: GLANCE, look: QUICK_LOOK } : { detail: FINE, look: CAREFUL }),
    seed: SEED,
    plays: rough ? ROUGH_PLAYS : PLAYS,
    choices: suitChoices(order, game.start),
  });
  return { ...planned, rough };
}

const solver: OrderSolver = {
  async plan(asked, onRough) {
    const rough = answer(asked, true);
    if (rough.kind === 'too many') return rough;
    onRough(rough);
    // Lets the rough plan out before the other one takes the thread.
    await new Promise((resolve) => setTimeout(resolve, 0));
    return answer(asked, false);
  },
};

expose(solver);
