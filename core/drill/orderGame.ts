import type { OrderGame } from '../planning/order/nodes.ts';
import { hasWishes, leftByWishes, NO_WISHES, type OrderWishes } from '../planning/order/wishes.ts';
import type { Order } from '../records/drill.ts';
import type { PocketName } from '../table/pockets.ts';
import { isDone, legalBalls, respotted, suitTaken, type OrderState } from './legalBalls.ts';

/** Where a clearance stands, as far as a plan depends on it. */
export interface PlanState extends OrderState {
  /** Balls played since the plan began. */
  readonly step: number;
  /** The pocket of the last pot; undefined at the start. */
  readonly lastPocket: PocketName | undefined;
}

/** What goes beside the order of the balls. */
export interface OrderExtras {
  readonly wishes?: OrderWishes | undefined;
  /** Whether two balls in a row may not go into the same pocket. */
  readonly alternating?: boolean | undefined;
}

/**
 * The order of a clearance as a plan sees it: what may be potted next, and what that leads to when all goes well.
 * @param start where it is taken up
 */
export function orderGameOf(
  order: Order,
  start: OrderState,
  { wishes = NO_WISHES, alternating = false }: OrderExtras = {},
): OrderGame<PlanState> {
  const wished = hasWishes(wishes);
  const legal = (state: PlanState) => {
    if (isDone(order, state)) return [];
    return leftByWishes(wishes, state.step, legalBalls(order, state), state.onTable);
  };
  return {
    start: { ...start, step: 0, lastPocket: undefined },
    // Whatever else has happened, states with the same balls of which the same may be played go on alike.
    key: (state) =>
      [
        state.onTable.join(),
        state.suit ?? '',
        legal(state).join(),
        wished ? state.step : '',
        alternating ? state.lastPocket : '',
      ].join('|'),
    onTable: ({ onTable }) => onTable,
    legal,
    isCleared: (state) => isDone(order, state),
    barred: alternating ? ({ lastPocket }) => lastPocket : undefined,
    after: (state, potted, pocket) => {
      const left = state.onTable.filter((id) => id !== potted);
      const back = respotted(order, [potted], { before: state, left, faulty: false });
      return {
        onTable: back.length > 0 ? state.onTable : left,
        last: potted,
        suit: state.suit ?? suitTaken(order, potted),
        step: state.step + 1,
        lastPocket: pocket,
      };
    },
  };
}

/** The states among which the first ball chooses: one for each suit where only one is to be cleared, else none. */
export function suitChoices<S extends OrderState>(order: Order, start: S): readonly S[] {
  if (order.kind !== 'suits' || order.both || start.suit !== undefined) return [];
  return order.suits.map((_, suit) => ({ ...start, suit }));
}
