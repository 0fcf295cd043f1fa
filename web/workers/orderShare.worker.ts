import { expose } from 'comlink';
import type { PlanState } from '../../core/drill/orderGame.ts';
import { playEnds } from '../../core/planning/order/orderPlan.ts';
import { shareOfShots } from '../../core/planning/order/orderShots.ts';
import type { OrderQuestion } from '../../core/planning/order/orderQuestion.ts';
import { OrderPlanner } from '../../core/planning/order/planner.ts';
import { orderQuestion, PLAY_SEED } from './orderQuestion.ts';
import type { ShareSolver } from './orderShareProtocol.ts';

interface TakenPlan {
  readonly question: OrderQuestion<PlanState>;
  readonly planner: OrderPlanner<PlanState>;
}
let taken: TakenPlan | undefined;

const solver: ShareSolver = {
  share: (asked, closeness, share) => shareOfShots(orderQuestion(asked, closeness), share),
  take(asked, closeness, shots) {
    const question = { ...orderQuestion(asked, closeness), shots };
    const planner = OrderPlanner.of(question);
    taken = planner && { question, planner };
  },
  play({ from, cue, numbers }) {
    if (taken === undefined) throw new Error('no plan was taken');
    const { question, planner } = taken;
    return playEnds(question, planner, { state: from, cue, balls: question.balls }, PLAY_SEED, numbers);
  },
};

expose(solver);
