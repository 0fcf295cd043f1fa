import { distance } from '../../math/point.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { errorAsCued } from '../../player/asCued.ts';
import { executed } from '../../player/execute.ts';
import type { Random } from '../../random/random.ts';
import { respotPlace } from '../../rack/respot.ts';
import { isOnTable } from '../../shot/outcome.ts';
import { ELSEWHERE } from './movedBalls.ts';
import { MANY_NODES } from './nodes.ts';
import type { OrderQuestion } from './orderQuestion.ts';
import { OrderPlanner } from './planner.ts';
import { COARSE } from './tableDetail.ts';

/** Why a clearance ended. */
export const CLEARANCE_ENDS = [
  'cleared',
  'missed',
  'in-off',
  'wrong ball',
  'condition broken',
  'nothing on',
] as const;
export type ClearanceEnd = (typeof CLEARANCE_ENDS)[number];

/** A clearance that was played by a plan. */
export interface PlayedOrder {
  readonly end: ClearanceEnd;
  /** Balls in the order in which they fell by rule. */
  readonly potted: readonly string[];
}

/** From where a plan is played on. */
export interface OrderPlace<S> {
  readonly state: S;
  readonly cue: BallOnTable;
  /** Object balls as they lie. */
  readonly balls: readonly BallOnTable[];
}

/**
 * Plays a plan to the end with the player's errors, choosing anew where the cue ball stops. Where balls were moved, the rest
 * is planned anew, roughly. Balls that come back stand where they stood, or where the rules have them when that is taken.
 * @param planner of the question, for the table as it lies
 */
export function playOut<S>(
  question: OrderQuestion<S>,
  planner: OrderPlanner<S>,
  start: OrderPlace<S>,
  random: Random,
): PlayedOrder {
  const { error, game, allowed } = question;
  const home = new Map(start.balls.map((ball) => [ball.id, ball]));
  let { state, cue, balls } = start;
  let plan = planner;
  const potted: string[] = [];
  while (!game.isCleared(state)) {
    const stroke = plan.choose(state, cue, balls);
    if (stroke === undefined) return { end: 'nothing on', potted };
    const shot = executed(stroke.shot, errorAsCued(stroke.shot, error), random);
    const result = simulate(shot);
    const at = new Map(result.rest.map((ball) => [ball.id, ball]));
    const struck = at.get(cue.id);
    if (struck === undefined || !isOnTable(struck) || result.rest.some(({ offTable }) => offTable)) {
      return { end: 'in-off', potted };
    }
    const fallen = result.rest.flatMap(({ id, pocket }) => (pocket === null ? [] : [{ id, pocket }]));
    const own = fallen.find(({ id }) => id === stroke.ball);
    if (own === undefined) return { end: 'missed', potted };
    const legal = game.legal(state);
    if (fallen.some(({ id }) => !legal.includes(id))) return { end: 'wrong ball', potted };
    if (own.pocket === game.barred?.(state) || allowed?.(result, stroke) === false) {
      return { end: 'condition broken', potted };
    }
    for (const { id, pocket } of fallen) {
      if (!game.onTable(state).includes(id)) continue;
      state = game.after(state, id, pocket);
      potted.push(id);
    }
    cue = { ...cue, x: struck.x, y: struck.y };
    const before = balls;
    const lying: BallOnTable[] = [];
    const back: BallOnTable[] = [];
    for (const id of game.onTable(state)) {
      const there = before.find((ball) => ball.id === id) ?? home.get(id);
      const now = at.get(id);
      if (there === undefined) continue;
      if (now !== undefined && isOnTable(now)) lying.push({ ...there, x: now.x, y: now.y });
      else back.push(home.get(id) ?? there);
    }
    for (const ball of back)
      lying.push({ ...ball, ...respotPlace(question.table.preset, ball, [cue, ...lying]) });
    balls = lying;
    const isMoved = balls.some((ball) => {
      const there = before.find(({ id }) => id === ball.id);
      return there === undefined || distance(there, ball) > ELSEWHERE;
    });
    if (isMoved && !game.isCleared(state)) {
      // Of a large order the old plan is still the better guide to it than none.
      plan =
        OrderPlanner.of(
          { ...question, balls, game: { ...game, start: state }, detail: COARSE },
          MANY_NODES,
        ) ?? plan;
    }
  }
  return { end: 'cleared', potted };
}
