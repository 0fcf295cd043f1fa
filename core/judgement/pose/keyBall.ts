import { anyOrder } from '../../planning/order/anyOrder.ts';
import { planOrder } from '../../planning/order/orderPlan.ts';
import { WIDE } from '../../planning/order/tableDetail.ts';
import { executionErrorOf } from '../../player/levels.ts';
import type { Poser } from './poser.ts';
import { bestFirst, liesApart, thrown } from './thrown.ts';

/** The balls of a position, by game. */
const BALLS = {
  pool: ['1', '2', '3', '4', '5'],
  snooker: ['red 1', 'red 2', 'red 3', 'red 4', 'red 5'],
} as const;
/** Where nothing costs as much there is no key ball to be found, 0…1. */
const LEAST_COST = 0.08;

/** Five balls to be cleared in any order: which one, played at another time than in the plan, costs a team player most? */
export const poseKeyBall: Poser = (table, random, { difficulty }) => {
  const { game } = table.preset;
  const there = thrown(table, random, BALLS[game]);
  if (there === undefined) return undefined;
  const { cue, balls } = there;
  const answer = planOrder({
    table,
    balls,
    cue,
    game: anyOrder(balls.map(({ id }) => id)),
    error: executionErrorOf('team', game),
    detail: WIDE,
    seed: 1,
    plays: 1,
  });
  if (answer.kind !== 'plan' || !answer.plan.complete || answer.plan.keyBall === undefined) return undefined;
  const { steps, keyBall } = answer.plan;
  const worth = bestFirst(
    steps.map(({ ball, alternative }) => ({ pick: ball, value: alternative?.costs ?? 0 })),
  );
  const key = steps[keyBall.step];
  if (key === undefined || keyBall.costs < LEAST_COST || worth[0]?.pick !== key.ball) return undefined;
  if (!liesApart(worth, difficulty)) return undefined;
  const first = steps[0]!;
  return {
    kind: 'key ball',
    shot: first.shot,
    pot: first.ball,
    pocket: first.pocket,
    truth: key.ball,
    instead: keyBall.instead,
    order: steps.map(({ ball }) => ball),
    worth,
  };
};
