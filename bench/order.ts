import { readFileSync } from 'node:fs';
import { blankDrill } from '../core/drill/draft.ts';
import { CUE_BALL, layOut } from '../core/drill/layout.ts';
import type { BallOnTable } from '../core/motion/shot.ts';
import { joinShotTables } from '../core/planning/order/joinTables.ts';
import { shareOfShots } from '../core/planning/order/orderShots.ts';
import { OrderPlanner } from '../core/planning/order/planner.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { drillSchema, type Drill, type Order } from '../core/records/drill.ts';
import { completeDrill } from '../core/records/drillText/complete.ts';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { cueBall, POOL, SNOOKER } from '../core/testing/balls.ts';
import { thrownTable } from '../core/testing/thrownTable.ts';
import { ledgerOf } from '../core/virtual/ledger.ts';
import { orderQuestion, type Detail, type Game, type OrderAsked } from './orderQuestion.ts';
import { withOtherCore, type OtherCore } from './otherCore.ts';
import { middle, type Figure } from './report.ts';

/** The first tables warm up; none is planned twice, for what is known of a ball's place is kept. */
const WARM_UP = 1;
const WARM_UPS = [WARM_UP, 7, 8];
const SEEDS = [2, 3, 4, 5, 6];

interface LyingTable {
  readonly cue: BallOnTable;
  readonly balls: readonly BallOnTable[];
}

/** Milliseconds on both cores until the stroke to play is known. */
async function planned(
  other: OtherCore,
  order: Order,
  { cue, balls }: LyingTable,
  detail: Detail,
  game: Game = 'pool',
): Promise<number> {
  const asked: OrderAsked = { game, order, balls, detail };
  const start = performance.now();
  const theirs = other.share(asked);
  const question = orderQuestion(asked);
  const own = shareOfShots(question, { part: 0, of: 2 });
  const shots = own && joinShotTables([own, await theirs]);
  OrderPlanner.of({ ...question, shots })?.choose(question.game.start, cue, balls);
  return performance.now() - start;
}

const UNIT = 'ms, two threads';

async function planning(
  name: string,
  order: Order,
  n: number,
  detail: Detail,
  wanted: string,
): Promise<Figure> {
  return withOtherCore(async (other) => {
    for (const seed of WARM_UPS) await planned(other, order, thrownTable(n, seed), detail);
    const times: number[] = [];
    for (const seed of SEEDS) times.push(await planned(other, order, thrownTable(n, seed), detail));
    return { name, value: middle(times), unit: UNIT, wanted };
  });
}

/** The same, once, of a table that takes long. */
async function planningOnce(
  name: string,
  order: Order,
  lying: LyingTable,
  wanted: string,
  game: Game = 'pool',
): Promise<Figure> {
  return withOtherCore(async (other) => {
    await planned(other, { kind: 'rotation' }, thrownTable(3, WARM_UP), 'coarse');
    return { name, value: await planned(other, order, lying, 'fine', game), unit: UNIT, wanted };
  });
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

export const orders: Readonly<Record<string, () => Figure | Promise<Figure>>> = {
  'order.seven.first': () => planning('order.seven.first', { kind: 'any' }, 7, 'first', 'under 300'),
  'order.seven': () => planning('order.seven', { kind: 'any' }, 7, 'fine', 'under 3,000'),
  'order.nine.first': () => planning('order.nine.first', { kind: 'rotation' }, 9, 'first', 'under 300'),
  'order.nine': () => planning('order.nine', { kind: 'rotation' }, 9, 'fine', 'under 3,000'),
  'order.suit.first': () => planning('order.suit.first', SUITS, 15, 'first', 'under 2,000'),
  'order.suit': () => planningOnce('order.suit', SUITS, thrownTable(15, 2), 'under 10,000'),
  'order.fifteen': () => planningOnce('order.fifteen', { kind: 'any' }, thrownTable(15, 2), 'under 20,000'),
  'order.colours': () =>
    planningOnce('order.colours', REDS, snooker('colours-home'), 'under 2,000', 'snooker'),
  'order.threereds': () =>
    planningOnce('order.threereds', REDS, snooker('three-red-break'), 'under 10,000', 'snooker'),
  'order.lineup': () =>
    planningOnce('order.lineup', REDS, snooker('colours-home', 15), 'under 30,000', 'snooker'),
  'ledger.seven': () => ledger('ledger.seven'),
};
