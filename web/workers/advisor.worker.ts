import { expose } from 'comlink';
import { orderGameOf } from '../../core/drill/orderGame.ts';
import { adviceAt } from '../../core/planning/order/advice.ts';
import { bestPlace } from '../../core/planning/order/course.ts';
import { OrderPlanner } from '../../core/planning/order/planner.ts';
import { COARSE } from '../../core/planning/order/tableDetail.ts';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { movedByShot } from '../../core/scoring/movedByShot.ts';
import { shotRulesOf } from '../../core/virtual/shotRules.ts';
import type { AdviceAsked, OrderAdvisor } from './advisorProtocol.ts';

function advise({ table, order, conditions, error, state, balls, cue, places }: AdviceAsked) {
  const alternating = conditions.includes('alternating pockets');
  const question = {
    table: tableOf(table),
    balls,
    game: orderGameOf(order, state, { alternating }),
    error,
    detail: COARSE,
    ...shotRulesOf(conditions),
  };
  const planner = OrderPlanner.of(question);
  if (planner === undefined) throw new RangeError('there are too many balls in any order');
  const from =
    cue === 'in hand'
      ? bestPlace(
          { table: question.table, state: question.game.start, balls: question.balls },
          planner,
          places,
        )
      : cue;
  return from === undefined ? [] : adviceAt(planner, question.game.start, from, balls);
}

const advisor: OrderAdvisor = { advise, moved: (table, pot) => movedByShot(tableOf(table), pot) };
expose(advisor);
