import type { OrderState } from '../../core/drill/legalBalls.ts';
import type { Point } from '../../core/math/point.ts';
import type { BallOnTable } from '../../core/motion/shot.ts';
import type { BallAdvice } from '../../core/planning/order/advice.ts';
import type { TableText } from '../../core/planning/position/question.ts';
import type { ExecutionError } from '../../core/player/levels.ts';
import type { WrittenPot } from '../../core/scoring/movedByShot.ts';
import type { Condition, Order } from '../../core/records/drill.ts';

/** A clearance under way, and what is asked of it. */
export interface AdviceAsked {
  readonly table: TableText;
  readonly order: Order;
  readonly conditions: readonly Condition[];
  readonly error: ExecutionError;
  readonly state: OrderState;
  /** Object balls as they lie. */
  readonly balls: readonly BallOnTable[];
  readonly cue: BallOnTable | 'in hand';
  /** Where a cue ball in hand may lie, metres; undefined for anywhere. */
  readonly places: readonly Point[] | undefined;
}

/** What the worker for advice does. */
export interface OrderAdvisor {
  /** What the plan says of each ball, the best first; none when no ball is on. @throws RangeError for too many states */
  advise(asked: AdviceAsked): readonly BallAdvice[];
  /** The balls that a pot has probably moved. */
  moved(table: TableText, pot: WrittenPot): readonly string[];
}
