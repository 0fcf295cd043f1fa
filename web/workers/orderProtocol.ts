import type { BallOnTable } from '../../core/motion/shot.ts';
import type { OrderAnswer } from '../../core/planning/order/orderPlan.ts';
import type { TableText } from '../../core/planning/position/question.ts';
import type { ExecutionError } from '../../core/player/levels.ts';
import type { Order } from '../../core/records/drill.ts';

/** A table to be cleared, how, and who plays. */
export interface OrderAsked {
  readonly table: TableText;
  /** Object balls. */
  readonly balls: readonly BallOnTable[];
  readonly cue: BallOnTable;
  readonly order: Order;
  readonly error: ExecutionError;
}

/** An answer, and whether a closer one is still to come. */
export type OrderTold = OrderAnswer & { readonly rough: boolean };

/** What the worker for orders does. */
export interface OrderSolver {
  /** @param onRough told as soon as there is a rough plan */
  plan(asked: OrderAsked, onRough: (answer: OrderTold) => void): Promise<OrderTold>;
}
