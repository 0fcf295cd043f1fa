import type { Order } from '../records/drill.ts';
import { ballValue } from '../counting/breakPoints.ts';

/** What has happened in an attempt so far, as far as the order of the balls depends on it. */
export interface OrderState {
  /** Object balls on the table. */
  readonly onTable: readonly string[];
  /** The ball potted last, by rule; undefined at the start. */
  readonly last: string | undefined;
  /** The suit that was taken, 0 or 1; undefined while the choice is open. */
  readonly suit: number | undefined;
}

const isRed = (id: string) => id === 'red' || id.startsWith('red ');

function suitsLegal(
  order: Extract<Order, { kind: 'suits' }>,
  { onTable, suit }: OrderState,
): readonly string[] {
  const there = (balls: readonly string[]) => balls.filter((id) => onTable.includes(id));
  const [first, second] = [there(order.suits[0] ?? []), there(order.suits[1] ?? [])];
  const last = onTable.includes(order.last) ? [order.last] : [];
  if (suit === undefined) return first.length + second.length === 0 ? last : [...first, ...second];
  const own = suit === 0 ? first : second;
  if (own.length > 0) return own;
  const other = suit === 0 ? second : first;
  return order.both && other.length > 0 ? other : last;
}

function redAndColour({ onTable, last }: OrderState): readonly string[] {
  const reds = onTable.filter(isRed);
  const colours = onTable.filter((id) => !isRed(id));
  if (last !== undefined && isRed(last)) return colours;
  if (reds.length > 0) return reds;
  const lowest = Math.min(...colours.map(ballValue));
  return colours.filter((id) => ballValue(id) === lowest);
}

/** The balls that may be potted next, in the order of `onTable`. */
export function legalBalls(order: Order, state: OrderState): readonly string[] {
  const { onTable, last } = state;
  switch (order.kind) {
    case 'any':
      return onTable;
    case 'rotation': {
      const lowest = Math.min(...onTable.map(Number));
      return onTable.filter((id) => Number(id) === lowest);
    }
    case 'listed': {
      const next = order.balls.find((id) => onTable.includes(id));
      return next === undefined ? [] : [next];
    }
    case 'groups': {
      const group = order.groups.find((each) => each.some((id) => onTable.includes(id)));
      return onTable.filter((id) => group?.includes(id) === true);
    }
    case 'suits':
      return suitsLegal(order, state);
    case 'red and colour':
      return redAndColour(state);
    case 'money ball': {
      const others = onTable.filter((id) => id !== order.ball);
      const afterOther = last !== undefined && last !== order.ball;
      return afterOther || others.length === 0 ? onTable.filter((id) => id === order.ball) : others;
    }
  }
}

/**
 * Whether all is potted that the order asks for: with two suits that is the own one and the last ball, whatever lies there
 * of the other.
 */
export function isDone(order: Order, state: OrderState): boolean {
  return state.onTable.length === 0 || legalBalls(order, state).length === 0;
}

interface Respotting {
  /** The state when the balls were potted. */
  readonly before: OrderState;
  /** Object balls that are still on the table. */
  readonly left: readonly string[];
  readonly faulty: boolean;
}

/**
 * The balls of those just potted that come back on their spots: a money ball while others are left, colours until they
 * are played in order, and both after a fault.
 */
export function respotted(
  order: Order,
  potted: readonly string[],
  { before, left, faulty }: Respotting,
): readonly string[] {
  if (order.kind === 'money ball') {
    const others = left.some((id) => id !== order.ball);
    return faulty || others ? potted.filter((id) => id === order.ball) : [];
  }
  if (order.kind === 'red and colour') {
    const redsWere = before.onTable.some(isRed) || (before.last !== undefined && isRed(before.last));
    return faulty || redsWere ? potted.filter((id) => !isRed(id)) : [];
  }
  return [];
}

/** The suit that a legal pot takes, when the choice was open. */
export function suitTaken(order: Order, potted: string): number | undefined {
  if (order.kind !== 'suits') return undefined;
  const suit = order.suits.findIndex((balls) => balls.includes(potted));
  return suit < 0 ? undefined : suit;
}
