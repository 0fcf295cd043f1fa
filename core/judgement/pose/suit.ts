import { adviceAt } from '../../planning/order/advice.ts';
import { suitOrder } from '../../planning/order/suitOrder.ts';
import { OrderPlanner } from '../../planning/order/planner.ts';
import { WIDE } from '../../planning/order/tableDetail.ts';
import { executionErrorOf } from '../../player/levels.ts';
import type { Poser } from './poser.ts';
import { bestFirst, liesApart, thrown } from './thrown.ts';

const SUITS = [
  { pick: 'lower', balls: ['1', '2', '3'] },
  { pick: 'higher', balls: ['9', '10', '11'] },
] as const;
const LAST = '8';
const LEAST_CHANCE = 0.15;

/** Three balls of each suit and the last one: which suit does a team player clear more often? At pool only. */
export const poseSuit: Poser = (table, random, { difficulty }) => {
  if (table.preset.game !== 'pool') return undefined;
  const there = thrown(table, random, [...SUITS.flatMap(({ balls }) => [...balls]), LAST]);
  if (there === undefined) return undefined;
  const { cue, balls } = there;
  const order = suitOrder(
    balls.map(({ id }) => id),
    SUITS.map((suit) => suit.balls),
    LAST,
  );
  const error = executionErrorOf('team', 'pool');
  const planner = OrderPlanner.of({ table, balls, game: order, error, detail: WIDE });
  if (planner === undefined) return undefined;
  const worth = bestFirst(
    SUITS.map(({ pick }, suit) => {
      const [best] = adviceAt(planner, { ...order.start, suit }, cue, balls);
      return { pick, value: best?.value ?? 0 };
    }),
  );
  const [best] = worth;
  if (best === undefined || best.value < LEAST_CHANCE || !liesApart(worth, difficulty)) return undefined;
  const suit = SUITS.findIndex(({ pick }) => pick === best.pick);
  const stroke = planner.choose({ ...order.start, suit }, cue, balls);
  if (stroke === undefined) return undefined;
  const { shot, ball: pot, pocket } = stroke;
  return { kind: 'which suit', shot, pot, pocket, truth: best.pick, worth };
};
