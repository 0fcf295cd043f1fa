import { expose } from 'comlink';
import { orderGameOf, suitChoices } from '../../core/drill/orderGame.ts';
import { planOrder, type OrderAnswer } from '../../core/planning/order/orderPlan.ts';
import { CAREFUL, QUICK_LOOK } from '../../core/planning/order/look.ts';
import { COARSE, FINE, GLANCE } from '../../core/planning/order/shotTable.ts';
import { shotRulesOf } from '../../core/virtual/shotRules.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import type { OrderAsked, OrderSolver, OrderTold } from './orderProtocol.ts';
import { executionErrorOf, LEVEL_NAMES } from '../../core/player/levels.ts';

const SEED = 4610;
/** Fresh play-outs of the rough plan, and of the one that stays. */
const ROUGH_PLAYS = 10;
const PLAYS = 60;
/** Fresh play-outs for each level, where all are laid side by side. */
const LEVEL_PLAYS = 40;

/** How closely a plan is made. */
const CLOSENESS = {
  rough: { detail: GLANCE, look: QUICK_LOOK, plays: ROUGH_PLAYS },
  'by level': { detail: COARSE, look: QUICK_LOOK, plays: LEVEL_PLAYS },
  fine: { detail: FINE, look: CAREFUL, plays: PLAYS },
} as const;

function answer(asked: OrderAsked, closeness: keyof typeof CLOSENESS): OrderAnswer {
  const { table, balls, cue, places, order, conditions, error, wishes } = asked;
  const onTable = balls.map(({ id }) => id);
  const game = orderGameOf(
    order,
    { onTable, last: undefined, suit: undefined },
    { wishes, alternating: conditions.includes('alternating pockets') },
  );
  return planOrder({
    table: tableOf(table),
    balls,
    game,
    ...shotRulesOf(conditions, wishes),
    error,
    cue,
    places,
    ...CLOSENESS[closeness],
    seed: SEED,
    choices: suitChoices(order, game.start),
  });
}

/** Lets what was told out before the next computation takes the thread. */
const letOut = () => new Promise((resolve) => setTimeout(resolve, 0));

const solver: OrderSolver = {
  async plan(asked, onRough) {
    const rough: OrderTold = { ...answer(asked, 'rough'), rough: true };
    if (rough.kind === 'too many') return { ...rough, rough: false };
    onRough(rough);
    await letOut();
    return { ...answer(asked, 'fine'), rough: false };
  },
  async levels(asked, onLevel) {
    const { game } = asked.table.preset;
    for (const level of LEVEL_NAMES) {
      onLevel({ level, answer: answer({ ...asked, error: executionErrorOf(level, game) }, 'by level') });
      await letOut();
    }
  },
};

expose(solver);
