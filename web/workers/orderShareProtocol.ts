import type { PlanState } from '../../core/drill/orderGame.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import type { Ends } from '../../core/planning/order/orderPlan.ts';
import type { ShotTable, TableShare } from '../../core/planning/order/shotTable.ts';
import type { OrderAsked } from './orderProtocol.ts';
import type { Closeness } from './orderQuestion.ts';

/** Play-outs of a plan. */
export interface PlaysAsked {
  readonly from: PlanState;
  readonly cue: BallOnTable;
  /** Which of them: each ends the same in whatever thread it is played. */
  readonly numbers: readonly number[];
}

/** What the other core does for the worker for orders. */
export interface ShareSolver {
  /** Some of a question's shots. @returns undefined for an order with more states than a plan can look at */
  share(asked: OrderAsked, closeness: Closeness, share: TableShare): ShotTable | undefined;
  /** From now on this plan is the one that is played. @param shots all of the question's */
  take(asked: OrderAsked, closeness: Closeness, shots: ShotTable): void;
  /** How play-outs of the plan end. */
  play(plays: PlaysAsked): Ends;
}
