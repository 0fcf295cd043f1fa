import { distance } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import { placeOnGrid } from '../../planning/grid.ts';
import { inOrder } from '../../planning/order/anyOrder.ts';
import { OrderPlanner } from '../../planning/order/planner.ts';
import { COARSE } from '../../planning/order/tableDetail.ts';
import { executionErrorOf } from '../../player/levels.ts';
import type { DifficultyRanges } from '../kinds.ts';
import type { Poser } from './poser.ts';
import { thrown } from './thrown.ts';

/** The balls of a position in their order, by game. */
const BALLS = { pool: ['1', '2', '3'], snooker: ['yellow', 'green', 'brown'] } as const;
/** A table is worth a question when the balls that come after are cleared from the best place more often than this. */
const LEAST_CHANCE = 0.4;
/** From a good place they are cleared so nearly as often as from the best, as a share. */
const GOOD = 0.9;

/** How much of the table is good places, as a share. */
const GOOD_SHARE: DifficultyRanges = {
  plain: [0.25, 1],
  fair: [0.14, 0.25],
  close: [0.07, 0.14],
  'hair-fine': [0, 0.07],
};

/** Three balls in order: when the first goes, where does a team player want the cue ball for the second, and the third? */
export const posePlace: Poser = (table, random, { difficulty }) => {
  const { game } = table.preset;
  const there = thrown(table, random, BALLS[game]);
  if (there === undefined) return undefined;
  const { cue, balls } = there;
  const ids = balls.map(({ id }) => id);
  const order = inOrder(ids);
  const planner = OrderPlanner.of({
    table,
    balls,
    game: order,
    error: executionErrorOf('team', game),
    detail: COARSE,
  });
  const stroke = planner?.choose(ids, cue, balls);
  const after = ids.slice(1);
  const worth = planner?.mapOf(after);
  if (stroke === undefined || worth === undefined) return undefined;
  const left = balls.slice(1);
  let [best, truth] = [0, placeOnGrid(worth, 0)];
  for (const [index, chance] of worth.chances.entries()) {
    const place = placeOnGrid(worth, index);
    const isFree = left.every((ball) => distance(ball, place) > contactDistance(cue.radius, ball.radius));
    if (isFree && chance > best) [best, truth] = [chance, place];
  }
  if (best < LEAST_CHANCE) return undefined;
  const good = worth.chances.filter((chance) => chance >= GOOD * best).length / worth.chances.length;
  const [least, most] = GOOD_SHARE[difficulty];
  if (good < least || good > most) return undefined;
  const { shot, ball: pot, pocket } = stroke;
  return { kind: 'where to be', shot, pot, pocket, after, truth, best, worth };
};
