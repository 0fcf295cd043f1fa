import { distance } from '../../math/point.ts';
import type { CallAnswer, CallQuestion } from '../../judgement/question.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import type { BallOnTable } from '../../motion/shot.ts';
import { placeOnGrid } from '../../planning/grid.ts';
import { anyOrder, inOrder } from '../../planning/order/anyOrder.ts';
import { courseOf } from '../../planning/order/course.ts';
import { QUICK_LOOK } from '../../planning/order/look.ts';
import type { OrderGame } from '../../planning/order/nodes.ts';
import type { OrderQuestion } from '../../planning/order/orderQuestion.ts';
import { OrderPlanner } from '../../planning/order/planner.ts';
import { suitOrder } from '../../planning/order/suitOrder.ts';
import { GLANCE } from '../../planning/order/tableDetail.ts';
import type { Table } from '../../table/table.ts';
import type { Caller } from './imagined.ts';

/** Questions that are answered by a plan. */
type Planned = Extract<
  CallQuestion,
  { readonly kind: 'which ball first' | 'which suit' | 'key ball' | 'whole order' | 'where to be' }
>;

interface Lying {
  readonly table: Table;
  readonly cue: BallOnTable;
  readonly balls: readonly BallOnTable[];
}

function questionOf<S>(caller: Caller, { table, balls }: Lying, game: OrderGame<S>): OrderQuestion<S> {
  const { error, looksAhead: ahead } = caller;
  return { table, balls, game, error, detail: GLANCE, ahead, look: QUICK_LOOK };
}

/** The order of a caller's own plan; undefined where nothing is on for them. */
function ownCourse<S>(caller: Caller, lying: Lying, game: OrderGame<S>) {
  const question = questionOf(caller, lying, game);
  const planner = OrderPlanner.of(question);
  return planner && courseOf({ ...question, cue: lying.cue }, planner);
}

const pick = (id: string): CallAnswer => ({ kind: 'pick', pick: id });

/** The suits as the question has them: the balls below and above the last one. */
const LAST = '8';

function suitCall(caller: Caller, lying: Lying): CallAnswer {
  const ids = lying.balls.map(({ id }) => id);
  const isLower = (id: string) => Number(id) < Number(LAST);
  const suits = [
    ids.filter((id) => id !== LAST && isLower(id)),
    ids.filter((id) => id !== LAST && !isLower(id)),
  ];
  const own = ownCourse(caller, lying, suitOrder(ids, suits, LAST))?.steps[0];
  return pick(own === undefined || isLower(own.ball) ? 'lower' : 'higher');
}

/** Where a caller wants the cue ball for the balls that come after. */
function placeCall(caller: Caller, lying: Lying, after: readonly string[]): CallAnswer {
  const left = lying.balls.filter(({ id }) => after.includes(id));
  const question = questionOf(caller, { ...lying, balls: left }, inOrder(after));
  const map = OrderPlanner.of(question)?.mapOf(after);
  if (map === undefined) return { kind: 'place', at: lying.cue };
  let [best, at] = [-1, placeOnGrid(map, 0)];
  for (const [index, chance] of map.chances.entries()) {
    const place = placeOnGrid(map, index);
    const isFree = left.every(
      (ball) => distance(ball, place) > contactDistance(lying.cue.radius, ball.radius),
    );
    if (isFree && chance > best) [best, at] = [chance, place];
  }
  return { kind: 'place', at };
}

/** What a virtual player says of a clearance: by a plan with their own errors that looks as far ahead as they do. */
export function callPlan(caller: Caller, question: Planned): CallAnswer {
  const { table, balls: all, strike } = question.shot;
  const cue = all.find(({ id }) => id === strike.ball);
  if (cue === undefined) throw new RangeError(`callPlan: there is no ball ${strike.ball}`);
  const lying = { table, cue, balls: all.filter((ball) => ball !== cue) };
  const ids = lying.balls.map(({ id }) => id);
  switch (question.kind) {
    case 'which suit':
      return suitCall(caller, lying);
    case 'where to be':
      return placeCall(caller, lying, question.after);
    case 'which ball first':
      return pick(ownCourse(caller, lying, anyOrder(ids))?.steps[0]?.ball ?? ids[0] ?? '');
    case 'key ball': {
      const own = ownCourse(caller, lying, anyOrder(ids));
      return pick(own?.keyBall?.ball ?? own?.steps.at(-2)?.ball ?? ids[0] ?? '');
    }
    case 'whole order': {
      const own = ownCourse(caller, lying, anyOrder(ids))?.steps.map(({ ball }) => ball) ?? [];
      // Balls that the plan does not come to are called as they are numbered.
      return { kind: 'order', order: [...own, ...ids.filter((id) => !own.includes(id))] };
    }
  }
}
