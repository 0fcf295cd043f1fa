import { readFileSync } from 'node:fs';
import { blankDrill } from '../core/drill/draft.ts';
import { CUE_BALL, layOut } from '../core/drill/layout.ts';
import { orderGameOf } from '../core/drill/orderGame.ts';
import type { BallOnTable } from '../core/motion/shot.ts';
import { CAREFUL, QUICK_LOOK } from '../core/planning/order/look.ts';
import { OrderPlanner } from '../core/planning/order/planner.ts';
import { COARSE, FINE, GLANCE, type TableDetail } from '../core/planning/order/shotTable.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { drillSchema, type Drill, type Order } from '../core/records/drill.ts';
import { completeDrill } from '../core/records/drillText/complete.ts';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { cueBall, POOL, SNOOKER } from '../core/testing/balls.ts';
import { thrownTable } from '../core/testing/thrownTable.ts';
import { ledgerOf } from '../core/virtual/ledger.ts';
import { middle, type Figure } from './report.ts';

/** The first table warms up; none is planned twice, for what is known of a ball's place is kept. */
const WARM_UP = 1;
const SEEDS = [2, 3, 4, 5, 6];

interface LyingTable {
  readonly cue: BallOnTable;
  readonly balls: readonly BallOnTable[];
}

function planned(order: Order, { cue, balls }: LyingTable, detail: TableDetail, table = POOL): number {
  const onTable = balls.map(({ id }) => id);
  const game = orderGameOf(order, { onTable, last: undefined, suit: undefined });
  const start = performance.now();
  const error = executionErrorOf('team', table.preset.game);
  OrderPlanner.of({
    table,
    balls,
    game,
    error,
    detail,
    look: detail === GLANCE ? QUICK_LOOK : CAREFUL,
  })?.choose(game.start, cue, balls);
  return performance.now() - start;
}

/** Milliseconds on one thread until the stroke to play is known. */
function planning(name: string, order: Order, n: number, detail: TableDetail, wanted: string): Figure {
  planned(order, thrownTable(n, WARM_UP), detail);
  const times = SEEDS.map((seed) => planned(order, thrownTable(n, seed), detail));
  return { name, value: middle(times), unit: 'ms, one thread', wanted };
}

/** The same, once, of a table that takes long. */
function planningOnce(name: string, order: Order, lying: LyingTable, wanted: string, table = POOL): Figure {
  planned({ kind: 'rotation' }, thrownTable(3, WARM_UP), COARSE);
  return { name, value: planned(order, lying, FINE, table), unit: 'ms, one thread', wanted };
}

const SUITS: Order = {
  kind: 'suits',
  suits: [
    ['1', '2', '3', '4', '5', '6', '7'],
    ['9', '10', '11', '12', '13', '14', '15'],
  ],
  last: '8',
  both: false,
};

/** A drill's table at snooker, the cue ball by the blue, with reds in a row more where they are asked for. */
function snooker(slug: string, row = 0): LyingTable {
  const drill = drillSchema.validateSync(
    completeDrill(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'))),
  );
  const { preset } = SNOOKER;
  const balls = layOut(drill, preset).filter(({ id }) => id !== CUE_BALL);
  const [any] = balls;
  if (any === undefined) throw new Error(`${slug} has no balls`);
  const reds = Array.from({ length: row }, (_, i) => ({
    ...any,
    id: `red ${i + 1}`,
    x: preset.length / 2 + 0.1 * (i + 1),
    y: preset.width / 2 + (i % 2 === 0 ? 0.1 : -0.1),
  }));
  return {
    cue: cueBall(preset.length / 2 - 0.3, preset.width / 2 - 0.2, SNOOKER),
    balls: [...balls, ...reds],
  };
}

/** Milliseconds for the ledger of a clearance of seven balls, each shot with the planned ball. */
function ledger(name: string): Figure {
  const { cue, balls } = thrownTable(7, 2);
  const drill: Drill = { ...blankDrill('pool-9ft'), task: { kind: 'clear', order: { kind: 'any' } } };
  const player = { table: POOL, error: executionErrorOf('team', 'pool') };
  const shots = balls.map(({ id, x, y }) => ({
    ...BLANK_SHOT,
    ball: id,
    potted: [id],
    landing: { x: POOL.length - x, y: POOL.width - y },
  }));
  const start = performance.now();
  const entries = [...ledgerOf(player, drill, balls, cue, shots)];
  if (entries.length !== balls.length) throw new Error('the ledger is not whole');
  return { name, value: performance.now() - start, unit: 'ms, one thread', wanted: 'under 5,000' };
}

const REDS: Order = { kind: 'red and colour' };

export const orders: Readonly<Record<string, () => Figure>> = {
  'order.seven.first': () => planning('order.seven.first', { kind: 'any' }, 7, GLANCE, 'under 300'),
  'order.seven': () => planning('order.seven', { kind: 'any' }, 7, FINE, 'under 3,000'),
  'order.nine.first': () => planning('order.nine.first', { kind: 'rotation' }, 9, GLANCE, 'under 300'),
  'order.nine': () => planning('order.nine', { kind: 'rotation' }, 9, FINE, 'under 3,000'),
  'order.suit.first': () => planning('order.suit.first', SUITS, 15, GLANCE, 'under 2,000'),
  'order.suit': () => planningOnce('order.suit', SUITS, thrownTable(15, 2), 'under 10,000'),
  'order.fifteen': () => planningOnce('order.fifteen', { kind: 'any' }, thrownTable(15, 2), 'under 20,000'),
  'order.colours': () => planningOnce('order.colours', REDS, snooker('colours-home'), 'under 2,000', SNOOKER),
  'order.threereds': () =>
    planningOnce('order.threereds', REDS, snooker('three-red-break'), 'under 10,000', SNOOKER),
  'order.lineup': () =>
    planningOnce('order.lineup', REDS, snooker('colours-home', 15), 'under 30,000', SNOOKER),
  'ledger.seven': () => ledger('ledger.seven'),
};
