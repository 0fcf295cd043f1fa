import { anyOrder, inOrder } from '../../planning/order/anyOrder.ts';
import { QUICK_LOOK } from '../../planning/order/look.ts';
import { OrderPlanner } from '../../planning/order/planner.ts';
import { WIDE } from '../../planning/order/tableDetail.ts';
import { executionErrorOf } from '../../player/levels.ts';
import type { DifficultyRanges } from '../kinds.ts';
import type { OrderWorth } from '../question.ts';
import type { Poser } from './poser.ts';
import { thrown } from './thrown.ts';

/** The balls of a position, by game. */
const BALLS = { pool: ['1', '2', '3', '4'], snooker: ['red 1', 'red 2', 'red 3', 'red 4'] } as const;
/** A table is worth a question when a team player clears it in the best order more often than this. */
const LEAST_CHANCE = 0.3;

/** By how much the middle one of all orders is behind the best, as a share of the best one's worth. */
const BEHIND: DifficultyRanges = {
  plain: [0.6, 1],
  fair: [0.4, 0.6],
  close: [0.25, 0.4],
  'hair-fine': [0.1, 0.25],
};

/** All orders of some balls. */
function ordersOf(balls: readonly string[]): readonly (readonly string[])[] {
  if (balls.length === 0) return [[]];
  return balls.flatMap((first) =>
    ordersOf(balls.filter((each) => each !== first)).map((rest) => [first, ...rest]),
  );
}

/** Four balls thrown on the table: in which order does a team player clear them most often? */
export const poseOrder: Poser = (table, random, { difficulty }) => {
  const { game } = table.preset;
  const there = thrown(table, random, BALLS[game]);
  if (there === undefined) return undefined;
  const { cue, balls } = there;
  const ids = balls.map(({ id }) => id);
  const error = executionErrorOf('team', game);
  const asked = { table, balls, error, detail: WIDE, look: QUICK_LOOK };
  const free = OrderPlanner.of({ ...asked, game: anyOrder(ids) });
  if (free === undefined) return undefined;
  const strokes = ordersOf(ids).flatMap((order) => {
    const planner = OrderPlanner.of({ ...asked, game: inOrder(order) }, undefined, free);
    const stroke = planner?.choose(order, cue, balls);
    if (planner === undefined || stroke === undefined) return [];
    return [{ order, stroke, value: planner.judged(order, stroke).value }];
  });
  strokes.sort((a, b) => b.value - a.value);
  const worth: readonly OrderWorth[] = strokes.map(({ order, value }) => ({ order, value }));
  const [best] = strokes;
  // Orders of which nothing is on count as the rest do: they are behind, too.
  const middle = worth[Math.floor(ordersOf(ids).length / 2)]?.value ?? 0;
  if (best === undefined || best.value < LEAST_CHANCE) return undefined;
  const [least, most] = BEHIND[difficulty];
  const behind = 1 - middle / best.value;
  if (behind < least || behind > most) return undefined;
  const shown = OrderPlanner.of({ ...asked, look: undefined, game: inOrder(best.order) }, undefined, free);
  const { shot, ball: pot, pocket } = shown?.choose(best.order, cue, balls) ?? best.stroke;
  return { kind: 'whole order', shot, pot, pocket, truth: best.order, worth };
};
