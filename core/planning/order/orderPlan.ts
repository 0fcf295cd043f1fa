import type { Point } from '../../math/point.ts';
import { createRandom } from '../../random/random.ts';
import { wilson } from '../../statistics/wilson.ts';
import { blockedBalls, type BlockedBall } from './blockedBalls.ts';
import type { PlannedChoice, PlayedChance } from './choices.ts';
import { courseOf, type CourseRequest, type OrderCourse } from './course.ts';
import { CLEARANCE_ENDS, playOut, type ClearanceEnd, type OrderPlace } from './playOut.ts';
import type { OrderQuestion } from './orderQuestion.ts';
import { OrderPlanner } from './planner.ts';

/** What is asked beside the balls and the order. */
export interface PlanRequest<S> extends CourseRequest<S> {
  readonly seed: number;
  /** Fresh play-outs by which the chance is told, ≥ 1: so many at most. */
  readonly plays: number;
  /** Whether no more play-outs are to be begun, once a few were played; left out, all are. */
  readonly isTimeUp?: (() => boolean) | undefined;
}

/** How often play-outs ended how. */
export type Ends = Readonly<Partial<Record<ClearanceEnd, number>>>;

/** What a plan comes to. */
export interface OrderPlan extends Omit<OrderCourse<unknown>, 'cue' | 'choices'> {
  readonly cue: Point;
  /** Of clearing, by fresh play-outs, with the interval that holds it in nine of ten cases. */
  readonly chance: PlayedChance;
  /** The same for each of the choices, by the same luck. */
  readonly choices: readonly PlannedChoice[];
  readonly ends: Ends;
}

/** Of fewer play-outs nothing can be said, however little time there is. */
const FEWEST_PLAYS = 8;

/** What a question for an order comes to. */
export type OrderAnswer =
  | { readonly kind: 'plan'; readonly plan: OrderPlan }
  /** Nothing is on. */
  | { readonly kind: 'none'; readonly blocked: readonly BlockedBall[] }
  /** More states than a plan can look at. */
  | { readonly kind: 'too many' };

/**
 * Plans a clearance and says how good the plan is by playing it. Places in metres, chances and values 0…1.
 * @throws RangeError for fewer than one play-out
 */
export function planOrder<S>(request: PlanRequest<S>): OrderAnswer {
  const { table, game, balls, plays, seed, isTimeUp } = request;
  if (plays < 1) throw new RangeError('planOrder: plays must be at least 1');
  const planner = OrderPlanner.of(request);
  if (planner === undefined) return { kind: 'too many' };
  const course = courseOf(request, planner);
  if (course === undefined) return { kind: 'none', blocked: blockedBalls(table, balls) };
  const { cue } = course;
  const endsFrom = (state: S) => {
    const ends: Ends[] = [];
    for (let k = 0; k < plays && (k < FEWEST_PLAYS || isTimeUp?.() !== true); k++)
      ends.push(playEnds(request, planner, { state, cue, balls }, seed, [k]));
    return addedEnds(ends);
  };
  const plan = playedPlan(
    course,
    endsFrom(game.start),
    course.choices.map(({ state }) => endsFrom(state)),
  );
  return { kind: 'plan', plan };
}

/** A course with what its play-outs told. @param choices ends of each choice's play-outs */
export function playedPlan<S>(course: OrderCourse<S>, ends: Ends, choices: readonly Ends[]): OrderPlan {
  const { cue, ...rest } = course;
  return {
    ...rest,
    cue: { x: cue.x, y: cue.y },
    chance: chanceOf(ends),
    choices: course.choices.map((choice, i) => ({ ...chanceOf(choices[i] ?? {}), ...choice.course })),
    ends,
  };
}

/** How some of a plan's play-outs from a place end. @param numbers of the play-outs: the same end the same, in any thread */
export function playEnds<S>(
  question: OrderQuestion<S>,
  planner: OrderPlanner<S>,
  from: OrderPlace<S>,
  seed: number,
  numbers: readonly number[],
): Ends {
  const random = createRandom(seed);
  return addedEnds(numbers.map((k) => ({ [playOut(question, planner, from, random.fork(k)).end]: 1 })));
}

/** Ends of several lots of play-outs together. */
export function addedEnds(lots: readonly Ends[]): Ends {
  const sum: Partial<Record<ClearanceEnd, number>> = {};
  for (const end of CLEARANCE_ENDS) {
    const times = lots.reduce((so, lot) => so + (lot[end] ?? 0), 0);
    if (times > 0) sum[end] = times;
  }
  return sum;
}

/** With no play-outs nothing is known: 0 to 1. */
function chanceOf(ends: Ends): PlayedChance {
  const plays = Object.values(ends).reduce((sum, n) => sum + n, 0);
  return { ...wilson(ends.cleared ?? 0, plays), plays };
}
