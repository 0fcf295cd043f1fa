import { expose } from 'comlink';
import { orderGameOf } from '../../core/drill/orderGame.ts';
import type { OrderAnswer } from '../../core/planning/order/orderAnswer.ts';
import { blockedBalls, planOrder } from '../../core/planning/order/orderPlan.ts';
import { orderNodes } from '../../core/planning/order/nodes.ts';
import { COARSE, FINE } from '../../core/planning/order/shotTable.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import type { OrderAsked, OrderSolver } from './orderProtocol.ts';

const SEED = 4610;
/** Fresh play-outs of the rough plan, and of the one that stays. */
const ROUGH_PLAYS = 10;
const PLAYS = 60;

function answer({ table: text, balls, cue, order, error }: OrderAsked, rough: boolean): OrderAnswer {
  const table = tableOf(text);
  const onTable = balls.map(({ id }) => id);
  const game = orderGameOf(order, { onTable, last: undefined, suit: undefined });
  if (orderNodes(game, onTable) === undefined) return { kind: 'too many' };
  const plan = planOrder({
    table,
    balls,
    game,
    error,
    cue,
    detail: rough ? COARSE : FINE,
    seed: SEED,
    plays: rough ? ROUGH_PLAYS : PLAYS,
  });
  return plan === undefined
    ? { kind: 'none', blocked: blockedBalls(table, balls) }
    : { kind: 'plan', plan, rough };
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
