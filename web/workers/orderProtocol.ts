import type { Point } from '../../core/math/point.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import type { OrderAnswer } from '../../core/planning/order/orderPlan.ts';
import type { OrderWishes } from '../../core/planning/order/wishes.ts';
import type { TableText } from '../../core/planning/position/question.ts';
import type { ExecutionError, LevelName } from '../../core/player/levels.ts';
import type { Condition, Order } from '../../core/records/drill.ts';

/** A table to be cleared, how, and who plays. */
export interface OrderAsked {
  readonly table: TableText;
  /** Object balls. */
  readonly balls: readonly BallOnTable[];
  /** Undefined when it is in hand. */
  readonly cue: BallOnTable | undefined;
  /** Where a cue ball in hand may lie, metres; undefined for anywhere. */
  readonly places?: readonly Point[] | undefined;
  readonly order: Order;
  readonly conditions: readonly Condition[];
  readonly wishes: OrderWishes;
  readonly error: ExecutionError;
}

/** An answer, and whether a closer plan is still to come. A plan that was not played yet says so by its number of play-outs. */
export type OrderTold = OrderAnswer & { readonly rough: boolean };

/** The plan of a player of a level, planned roughly. */
export interface LevelTold {
  readonly level: LevelName;
  readonly answer: OrderAnswer;
}

/** What the worker for orders does. */
export interface OrderSolver {
  /** @param onTold told of the rough plan before it is played and after, and of the closer one while it is played */
  plan(asked: OrderAsked, onTold: (answer: OrderTold) => void): Promise<OrderTold>;
  /** The same table for each level. @param onLevel told of each as it is there */
  levels(asked: OrderAsked, onLevel: (told: LevelTold) => void): Promise<void>;
}
