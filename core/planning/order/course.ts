import { distance, pathLength, type Point } from '../../math/point.ts';
import type { BallOnTable, Shot } from '../../motion/shot.ts';
import { samplePath } from '../../motion/path.ts';
import { simulate } from '../../motion/simulate.ts';
import { respotPlace } from '../../rack/respot.ts';
import { isOnTable } from '../../shot/outcome.ts';
import type { CushionName } from '../../table/cushions.ts';
import type { PocketName } from '../../table/pockets.ts';
import { chanceAt, placeOnGrid, type PositionWindow } from '../grid.ts';
import { cushionsOf } from '../stops.ts';
import { cueBallAt } from '../windowAmong.ts';
import { ownBalls, type ChoiceCourse } from './choices.ts';
import { clustersOf } from './clusters.ts';
import type { OrderQuestion } from './orderQuestion.ts';
import type { OrderPlanner } from './planner.ts';
import type { OrderPlace } from './playOut.ts';
import type { ProblemBall } from './problemBalls.ts';

/** One step of a plan. */
export interface PlanStep {
  readonly ball: string;
  readonly pocket: PocketName;
  readonly shot: Shot;
  /** Of this pot, and of clearing from here on, as the plan has it, 0…1. */
  readonly chance: number;
  readonly value: number;
  /** Where the cue ball stops as planned, metres. */
  readonly landing: Point;
  /** How far the cue ball goes, metres, and the cushions that it meets, in order. */
  readonly travel: number;
  readonly cushions: readonly CushionName[];
  /** What each place of the cue ball is worth before this shot: the chance of clearing from there. */
  readonly worth: PositionWindow;
  /** The best stroke at another ball, and what it is worth less; undefined where there is none. */
  readonly alternative:
    { readonly ball: string; readonly pocket: PocketName; readonly costs: number } | undefined;
}

/** The ball that must go when it goes: another one in its place costs most. */
export interface KeyBall {
  readonly step: number;
  readonly ball: string;
  readonly instead: string;
  /** Of the chance of clearing, 0…1. */
  readonly costs: number;
}

/** A ball that is hard to come at, and when the plan deals with it. */
export interface PlannedProblem extends ProblemBall {
  /** Its step; undefined where the plan does not come to it. */
  readonly step: number | undefined;
}

/** How a plan goes when each shot does what it is planned to: all that is known of it before it is played. */
export interface OrderCourse<S> {
  readonly cue: BallOnTable;
  readonly steps: readonly PlanStep[];
  /** The steps come to the end of the order; if not, nothing is on from where they stop. */
  readonly complete: boolean;
  /** Undefined where no step has another ball that would cost more than can be told. */
  readonly keyBall: KeyBall | undefined;
  readonly problems: readonly PlannedProblem[];
  /** The same for each of the choices before the first shot. */
  readonly choices: readonly { readonly state: S; readonly course: ChoiceCourse }[];
  readonly states: number;
}

/** What a course is asked for, beside the question. */
export interface CourseRequest<S> extends OrderQuestion<S> {
  /** Undefined when it is in hand: the best place is looked for. */
  readonly cue: BallOnTable | undefined;
  /** Where a cue ball in hand may lie, metres; undefined for anywhere. */
  readonly places?: readonly Point[] | undefined;
  /** What may be chosen before the first shot, such as the suit: each is played out as well. */
  readonly choices?: readonly S[];
}

/** The course of a plan; undefined where nothing is on. @param planner of the question */
export function courseOf<S>(request: CourseRequest<S>, planner: OrderPlanner<S>): OrderCourse<S> | undefined {
  const { table, game, balls } = request;
  const cue = request.cue ?? bestPlace({ table, state: game.start, balls }, planner, request.places);
  if (cue === undefined) return undefined;
  const { steps, complete } = walk(request, planner, { state: game.start, cue, balls });
  if (steps.length === 0) return undefined;
  const problems = planner.problems();
  return {
    cue,
    steps,
    complete,
    keyBall: keyBall(steps),
    problems: problems.map((problem) => {
      const step = steps.findIndex(({ ball }) => ball === problem.ball);
      return { ...problem, step: step === -1 ? undefined : step };
    }),
    choices: (request.choices ?? []).map((state) => {
      const way = walk(request, planner, { state, cue, balls });
      const own = ownBalls(game, state);
      const course: ChoiceCourse = {
        order: way.steps.map(({ ball }) => ball),
        complete: way.complete,
        travel: way.steps.reduce((sum, { travel }) => sum + travel, 0),
        longest: way.steps.reduce((most, { travel }) => Math.max(most, travel), 0),
        hard: problems.flatMap(({ ball }) => (own.includes(ball) ? [ball] : [])),
        clusters: clustersOf(balls).filter((ids) => ids.some((id) => own.includes(id))),
        spare: planner.openBalls().filter((id) => own.includes(id)),
      };
      return { state, course };
    }),
    states: planner.size,
  };
}

/** The strokes of a plan as they go when each does what it is planned to. */
function walk<S>(
  { table, game, balls }: OrderQuestion<S>,
  planner: OrderPlanner<S>,
  from: OrderPlace<S>,
): Pick<OrderCourse<S>, 'steps' | 'complete'> {
  const steps: PlanStep[] = [];
  let { state, cue: at, balls: left } = from;
  while (!game.isCleared(state)) {
    const strokes = planner.strokes(state, at, left);
    const [first] = strokes;
    const worth = planner.mapOf(state);
    if (first === undefined || worth === undefined) break;
    const best = planner.judged(state, first);
    const { rest, paths, duration } = simulate(best.shot, { paths: true });
    const way = paths?.find(({ id }) => id === at.id);
    const landed = rest.find(({ id }) => id === at.id);
    const fell = rest.some(({ id, pocket }) => id === best.ball && pocket === best.pocket);
    if (!fell || landed === undefined || !isOnTable(landed)) break;
    const second = strokes.find(({ ball }) => ball !== best.ball);
    const other = second && planner.judged(state, second);
    steps.push({
      ball: best.ball,
      pocket: best.pocket,
      shot: best.shot,
      chance: best.chance,
      value: best.value,
      landing: { x: landed.x, y: landed.y },
      travel: way === undefined ? 0 : pathLength(samplePath(way, duration)),
      cushions: cushionsOf(best.shot),
      worth,
      alternative: other && {
        ball: other.ball,
        pocket: other.pocket,
        costs: Math.max(0, best.value - other.value),
      },
    });
    state = game.after(state, best.ball, best.pocket);
    at = { ...at, x: landed.x, y: landed.y };
    const onTable = game.onTable(state);
    const there = balls.filter(({ id }) => onTable.includes(id));
    const others = [at, ...there.filter(({ id }) => id !== best.ball)];
    // The ball that was potted may be among them: then it comes back.
    left = there.map((ball) =>
      ball.id === best.ball ? { ...ball, ...respotPlace(table.preset, ball, others) } : ball,
    );
  }
  return { steps, complete: game.isCleared(state) };
}

/** Places in hand that are looked at closely, the best by the map. */
const PLACES = 6;

/** Less than this cannot be told from nothing by what a plan tries, 0…1. */
const LEAST_COST = 0.02;

/** The step whose ball another one in its place would cost most; of equals the first. */
function keyBall(steps: readonly PlanStep[]): KeyBall | undefined {
  let key: KeyBall | undefined;
  for (const [step, { ball, alternative }] of steps.entries()) {
    if (alternative === undefined || alternative.costs < Math.max(LEAST_COST, (key?.costs ?? 0) + 1e-9))
      continue;
    key = { step, ball, instead: alternative.ball, costs: alternative.costs };
  }
  return key;
}

/**
 * The place in hand from which the plan is worth most; undefined when nothing is on from any.
 * @param state where the order stands @param balls object balls as they lie @param places where it may lie, metres; undefined for anywhere
 */
export function bestPlace<S>(
  { table, state, balls }: { readonly state: S } & Pick<OrderQuestion<S>, 'table' | 'balls'>,
  planner: OrderPlanner<S>,
  places: readonly Point[] | undefined,
): BallOnTable | undefined {
  const map = planner.mapOf(state);
  if (map === undefined) return undefined;
  const anywhere = () => [...map.chances.keys()].map((index) => placeOnGrid(map, index));
  const best = (places ?? anywhere())
    .map((place) => ({ cue: cueBallAt(table, place), chance: chanceAt(map, place) }))
    .filter(({ cue }) => balls.every((ball) => distance(ball, cue) > ball.radius + cue.radius))
    .sort((a, b) => b.chance - a.chance)
    .slice(0, PLACES)
    .map(({ cue }) => ({ cue, value: planner.choose(state, cue, balls)?.value ?? 0 }))
    .sort((a, b) => b.value - a.value)[0];
  return best !== undefined && best.value > 0 ? best.cue : undefined;
}
