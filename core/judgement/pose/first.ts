import { adviceAt } from '../../planning/order/advice.ts';
import { anyOrder } from '../../planning/order/anyOrder.ts';
import { OrderPlanner } from '../../planning/order/planner.ts';
import { WIDE } from '../../planning/order/tableDetail.ts';
import { executionErrorOf } from '../../player/levels.ts';
import type { Poser } from './poser.ts';
import { liesApart, thrown } from './thrown.ts';

/** The balls of a position, by game. */
const BALLS = { pool: ['1', '2', '3', '4'], snooker: ['red 1', 'red 2', 'red 3', 'red 4'] } as const;
/** A table is worth a question when a team player clears it with the best ball more often than this. */
const LEAST_CHANCE = 0.3;

/** Four balls thrown on the table, to be cleared in any order: with which one does a team player's plan begin? */
export const poseFirst: Poser = (table, random, { difficulty }) => {
  const { game } = table.preset;
  const there = thrown(table, random, BALLS[game]);
  if (there === undefined) return undefined;
  const { cue, balls } = there;
  const order = anyOrder(balls.map(({ id }) => id));
  const error = executionErrorOf('team', game);
  const planner = OrderPlanner.of({ table, balls, game: order, error, detail: WIDE });
  const stroke = planner?.choose(order.start, cue, balls);
  if (planner === undefined || stroke === undefined) return undefined;
  const worth = adviceAt(planner, order.start, cue, balls).map(({ ball, value }) => ({ pick: ball, value }));
  const [best] = worth;
  // The stroke that is shown is one at the best ball.
  if (best === undefined || best.value < LEAST_CHANCE || best.pick !== stroke.ball) return undefined;
  if (!liesApart(worth, difficulty)) return undefined;
  const { shot, ball: pot, pocket } = stroke;
  return { kind: 'which ball first', shot, pot, pocket, truth: best.pick, worth };
};
