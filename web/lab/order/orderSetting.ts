import type { Shot } from '../../../core/motion/shot.ts';
import { LEVEL_NAMES, type LevelName } from '../../../core/player/levels.ts';
import { orderGameOf } from '../../../core/drill/orderGame.ts';
import type { Drill, Order } from '../../../core/records/drill.ts';
import { POCKET_NAMES } from '../../../core/table/pockets.ts';
import type { Table } from '../../../core/table/table.ts';
import { addBall, CUE, firstShot, moveBall } from '../../table/labShot.ts';

/** How a table may be cleared in the lab: in an order of the bench's own, or as a drill has it that was taken over. */
export const ORDERS = ['any', 'rotation', 'suits', 'red and colour', 'drill'] as const;
export type OrderName = (typeof ORDERS)[number];

/** An order as a drill's text has it. */
export type ClearOrder = Extract<Drill['task'], { readonly kind: 'clear' }>['order'];

/** What is asked of the balls. */
export interface OrderSetting {
  readonly order: OrderName;
  readonly level: LevelName;
}

const LAST = '8';
const isNumber = (id: string) => /^\d+$/.test(id);

/** The bench's own name for an order; any order where it has none. */
export function orderNameOf({ kind }: Order): OrderName {
  return ORDERS.find((name) => name === kind) ?? 'any';
}

/**
 * The orders in which some balls can be asked for.
 * @param ids of the object balls @param rules of the drill that was taken over
 */
export function ordersFor(ids: readonly string[], rules?: Order): readonly OrderName[] {
  const numbers = ids.every(isNumber);
  const suits = numbers && ids.includes(LAST) && ids.some((id) => Number(id) < 8);
  return ORDERS.filter((name) => {
    if (name === 'rotation') return numbers;
    if (name === 'suits') return suits;
    if (name === 'drill') return rules !== undefined;
    return name === 'any' || ids.some((id) => id.startsWith('red'));
  });
}

/** An order as the rules have it. */
export function orderOf(
  name: OrderName,
  ids: readonly string[],
  rules: ClearOrder = { kind: 'any' },
): ClearOrder {
  if (name === 'drill') return rules;
  if (name !== 'suits') return { kind: name };
  const suits = [ids.filter((id) => Number(id) < 8), ids.filter((id) => Number(id) > 8)];
  return { kind: 'suits', suits, last: LAST, both: false };
}

/** What may be played next when balls went in some order; undefined where the rules do not allow that order. */
export function nextAfter(
  order: Order,
  ids: readonly string[],
  balls: readonly string[],
): readonly string[] | undefined {
  const game = orderGameOf(order, { onTable: ids, last: undefined, suit: undefined });
  let state = game.start;
  for (const ball of balls) {
    if (!game.legal(state).includes(ball)) return undefined;
    state = game.after(state, ball, POCKET_NAMES[0]);
  }
  return game.legal(state);
}

/** The setting that an address names, as far as these balls allow it. */
export function orderSettingFrom(
  params: URLSearchParams,
  ids: readonly string[],
  rules?: Order,
): OrderSetting {
  return {
    order: ordersFor(ids, rules).find((name) => name === params.get('order')) ?? 'any',
    level: LEVEL_NAMES.find((name) => name === params.get('level')) ?? 'team',
  };
}

/** Where the bench's first balls lie, shares of the table. */
const FIRST: readonly (readonly [id: string, along: number, across: number])[] = [
  [CUE, 0.3, 0.4],
  ['1', 0.66, 0.55],
  ['2', 0.8, 0.25],
  ['3', 0.45, 0.78],
  ['4', 0.9, 0.7],
  ['5', 0.2, 0.2],
];

/** The table with which the bench opens: five balls to be cleared. */
export function firstTable(table: Table): Shot {
  const empty = firstShot(table);
  if (table.preset.markings === 'colours') return empty;
  return FIRST.reduce<Shot>((shot, [id, along, across]) => {
    const there = shot.balls.some((ball) => ball.id === id) ? shot : addBall(shot, id);
    return moveBall(there, id, { x: along * table.length, y: across * table.width });
  }, empty);
}
