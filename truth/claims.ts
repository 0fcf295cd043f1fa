import { orderGameOf } from '../core/drill/orderGame.ts';
import { OrderPlanner } from '../core/planning/order/planner.ts';
import { playOut } from '../core/planning/order/playOut.ts';
import { FINE } from '../core/planning/order/tableDetail.ts';
import { executionErrorOf, type LevelName } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import type { Order } from '../core/records/drill.ts';
import { POOL } from '../core/testing/balls.ts';
import { thrownTable } from '../core/testing/thrownTable.ts';
import { told, within, type Asked, type Figure } from './figure.ts';

/** Tables of unlike worth, so that claims go from low to high. */
const KINDS: readonly { readonly order: Order['kind']; readonly balls: number; readonly level: LevelName }[] =
  [
    { order: 'any', balls: 7, level: 'team' },
    { order: 'any', balls: 4, level: 'match' },
    { order: 'rotation', balls: 4, level: 'team' },
    { order: 'any', balls: 8, level: 'regular' },
    { order: 'rotation', balls: 6, level: 'match' },
  ];
const TABLES = 200;
const PLAYS = 40;
/** Groups of tables by their claims, as many in each. */
const GROUPS = 10;
/** Points by which claims may be off in the mean, and in a group. */
const MOST_OFF = 1;
const MOST_OFF_GROUP = 5;

interface Claim {
  readonly claimed: number;
  /** Share of its play-outs that cleared. */
  readonly cleared: number;
}

function claimOf(t: number, seed: number): Claim | undefined {
  const kind = KINDS[t % KINDS.length];
  if (kind === undefined) return undefined;
  const { cue, balls } = thrownTable(kind.balls, 1_000 * seed + t);
  const onTable = balls.map(({ id }) => id);
  const order: Order = kind.order === 'rotation' ? { kind: 'rotation' } : { kind: 'any' };
  const game = orderGameOf(order, { onTable, last: undefined, suit: undefined });
  const question = { table: POOL, balls, game, error: executionErrorOf(kind.level, 'pool'), detail: FINE };
  const planner = OrderPlanner.of(question);
  const stroke = planner?.choose(game.start, cue, balls);
  if (planner === undefined || stroke === undefined) return undefined;
  const random = createRandom(9_000 + 77 * t + seed);
  let cleared = 0;
  for (let k = 0; k < PLAYS; k++) {
    if (playOut(question, planner, { state: game.start, cue, balls }, random.fork(k)).end === 'cleared')
      cleared++;
  }
  return { claimed: planner.judged(game.start, stroke).value, cleared: cleared / PLAYS };
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/**
 * What a plan says its first stroke is worth, against fresh play-outs: in the mean, and in each tenth of the tables by what
 * was claimed. Tables without a shot claim nothing.
 */
export function claims({ seed, size }: Asked): readonly Figure[] {
  const tables = Math.round(TABLES * size);
  const all: Claim[] = [];
  for (let t = 0; t < tables; t++) {
    const claim = claimOf(t, seed);
    if (claim !== undefined) all.push(claim);
  }
  const tooMuch = (some: readonly Claim[]) =>
    100 * mean(some.map(({ claimed, cleared }) => claimed - cleared));
  const sorted = all.toSorted((a, b) => a.claimed - b.claimed);
  return [
    told('claims.tables', all.length, 'with a shot'),
    within('claims.mean', tooMuch(all), [-MOST_OFF, MOST_OFF], 'points too much'),
    ...Array.from({ length: GROUPS }, (_, g) => {
      const some = sorted.slice((g * sorted.length) / GROUPS, ((g + 1) * sorted.length) / GROUPS);
      const claimed = Math.round(100 * mean(some.map((each) => each.claimed)));
      return within(
        `claims.around-${String(claimed)}`,
        tooMuch(some),
        [-MOST_OFF_GROUP, MOST_OFF_GROUP],
        'points too much',
      );
    }),
  ];
}
