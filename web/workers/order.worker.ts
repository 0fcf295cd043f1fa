import { expose } from 'comlink';
import { orderGameOf } from '../../core/drill/orderGame.ts';
import { planOrder } from '../../core/planning/order/orderPlan.ts';
import { COARSE, FINE } from '../../core/planning/order/shotTable.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import type { OrderAsked, OrderSolver, OrderTold } from './orderProtocol.ts';

const SEED = 4610;
/** Fresh play-outs of the rough plan, and of the one that stays. */
const ROUGH_PLAYS = 10;
const PLAYS = 60;

function answer({ table, balls, cue, order, error }: OrderAsked, rough: boolean): OrderTold {
  const onTable = balls.map(({ id }) => id);
  const planned = planOrder({
    table: tableOf(table),
    balls,
    game: orderGameOf(order, { onTable, last: undefined, suit: undefined }),
    error,
    cue,
    detail: rough ? COARSE : FINE,
    seed: SEED,
    plays: rough ? ROUGH_PLAYS : PLAYS,
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
