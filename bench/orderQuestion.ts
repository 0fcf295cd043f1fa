import { orderGameOf, type PlanState } from '../core/drill/orderGame.ts';
import type { BallOnTable } from '../core/motion/shot.ts';
import { CAREFUL, QUICK_LOOK } from '../core/planning/order/look.ts';
import type { OrderQuestion } from '../core/planning/order/orderQuestion.ts';
import { COARSE, FINE, FIRST } from '../core/planning/order/tableDetail.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import type { Order } from '../core/records/drill.ts';
import { POOL, SNOOKER } from '../core/testing/balls.ts';

const DETAILS = { first: FIRST, coarse: COARSE, fine: FINE } as const;
export type Detail = keyof typeof DETAILS;
const TABLES = { pool: POOL, snooker: SNOOKER } as const;
export type Game = keyof typeof TABLES;

/** What goes from thread to thread: a question has functions in it. */
export interface OrderAsked {
  readonly game: Game;
  readonly order: Order;
  readonly balls: readonly BallOnTable[];
  readonly detail: Detail;
}

/** A team player's question. */
export function orderQuestion({ game, order, balls, detail }: OrderAsked): OrderQuestion<PlanState> {
  const onTable = balls.map(({ id }) => id);
  return {
    table: TABLES[game],
    balls,
    game: orderGameOf(order, { onTable, last: undefined, suit: undefined }),
    error: executionErrorOf('team', game),
    detail: DETAILS[detail],
    look: detail === 'first' ? QUICK_LOOK : CAREFUL,
  };
}
