import { orderGameOf } from '../core/drill/orderGame.ts';
import { OrderPlanner } from '../core/planning/order/planner.ts';
import { COARSE, FINE, type TableDetail } from '../core/planning/order/shotTable.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import type { Order } from '../core/records/drill.ts';
import { POOL } from '../core/testing/balls.ts';
import { thrownTable } from '../core/testing/thrownTable.ts';
import { middle, type Figure } from './report.ts';

/** The first table warms up; none is planned twice, for what is known of a ball's place is kept. */
const WARM_UP = 1;
const SEEDS = [2, 3, 4, 5, 6];

function planned(order: Order, n: number, detail: TableDetail, seed: number): number {
  const { cue, balls } = thrownTable(n, seed);
  const onTable = balls.map(({ id }) => id);
  const game = orderGameOf(order, { onTable, last: undefined, suit: undefined });
  const start = performance.now();
  OrderPlanner.of({ table: POOL, balls, game, error: executionErrorOf('team', 'pool'), detail })?.choose(
    game.start,
    cue,
    balls,
  );
  return performance.now() - start;
}

/** Milliseconds on one thread until the stroke to play is known. */
function planning(name: string, order: Order, n: number, detail: TableDetail, wanted: string): Figure {
  planned(order, n, detail, WARM_UP);
  const times = SEEDS.map((seed) => planned(order, n, detail, seed));
  return { name, value: middle(times), unit: 'ms, one thread', wanted };
}

export const orders: Readonly<Record<string, () => Figure>> = {
  'order.seven.first': () => planning('order.seven.first', { kind: 'any' }, 7, COARSE, 'under 300'),
  'order.seven': () => planning('order.seven', { kind: 'any' }, 7, FINE, 'under 3,000'),
  'order.nine.first': () => planning('order.nine.first', { kind: 'rotation' }, 9, COARSE, 'under 300'),
  'order.nine': () => planning('order.nine', { kind: 'rotation' }, 9, FINE, 'under 3,000'),
};
