import type { OrderGame } from '../planning/order/nodes.ts';
import type { Order } from '../records/drill.ts';
import { isDone, legalBalls, respotted, suitTaken, type OrderState } from './legalBalls.ts';

/**
 * The order of a clearance as a plan sees it: what may be potted next, and what that leads to when all goes well.
 * @param start where it is taken up
 */
export function orderGameOf(order: Order, start: OrderState): OrderGame<OrderState> {
  const legal = (state: OrderState) => (isDone(order, state) ? [] : legalBalls(order, state));
  return {
    start,
    // Whatever else has happened, states with the same balls of which the same may be played go on alike.
    key: (state) => [state.onTable.join(), state.suit ?? '', legal(state).join()].join('|'),
    onTable: ({ onTable }) => onTable,
    legal,
    isCleared: (state) => isDone(order, state),
    after: (state, potted) => {
      const left = state.onTable.filter((id) => id !== potted);
      const back = respotted(order, [potted], { before: state, left, faulty: false });
      return {
        onTable: back.length > 0 ? state.onTable : left,
        last: potted,
        suit: state.suit ?? suitTaken(order, potted),
      };
    },
  };
}
