import type { Point } from '../../math/point.ts';
import type { BallOnTable, Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { createRandom } from '../../random/random.ts';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { isClear } from '../../shot/corridor.ts';
import { isOnTable } from '../../shot/outcome.ts';
import { wilson, type ShareInterval } from '../../statistics/wilson.ts';
import type { PocketName } from '../../table/pockets.ts';
import { pocketNamed, type Table } from '../../table/table.ts';
import { placeOnGrid, type PositionWindow } from '../grid.ts';
import { potLines } from '../potOptions.ts';
import { cueBallAt } from '../windowAmong.ts';
import { playOut, type ClearanceEnd } from './playOut.ts';
import { OrderPlanner, type Allowed, type OrderQuestion } from './planner.ts';

/** What is asked beside the balls and the order. */
export interface PlanRequest<S> extends OrderQuestion<S> {
  /** Undefined when it is in hand: the best place is looked for. */
  readonly cue: BallOnTable | undefined;
  readonly seed: number;
  /** Fresh play-outs by which the chance is told, ≥ 1. */
  readonly plays: number;
  readonly allowed?: Allowed | undefined;
}

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
  /** What each place of the cue ball is worth before this shot: the chance of clearing from there. */
  readonly worth: PositionWindow;
  /** The best stroke at another ball, and what it is worth less; undefined where there is none. */
  readonly alternative:
    { readonly ball: string; readonly pocket: PocketName; readonly costs: number } | undefined;
}

/** What a plan comes to. */
export interface OrderPlan {
  readonly cue: Point;
  readonly steps: readonly PlanStep[];
  /** The steps come to the end of the order; if not, nothing is on from where they stop. */
  readonly complete: boolean;
  /** Of clearing, by fresh play-outs, with the interval that holds it in nine of ten cases. */
  readonly chance: ShareInterval & { readonly plays: number };
  readonly ends: Readonly<Partial<Record<ClearanceEnd, number>>>;
  readonly states: number;
}

/** Places in hand that are looked at closely, the best by the map. */
const PLACES = 6;

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
  const { table, game, balls, seed, plays, allowed } = request;
  if (plays < 1) throw new RangeError('planOrder: plays must be at least 1');
  const planner = OrderPlanner.of(request);
  if (planner === undefined) return { kind: 'too many' };
  const cue = request.cue ?? bestPlace(request, planner);
  if (cue === undefined) return { kind: 'none', blocked: blockedBalls(table, balls) };
  const steps: PlanStep[] = [];
  let [state, at, left] = [game.start, cue, balls];
  while (!game.isCleared(state)) {
    const strokes = planner.strokes(state, at, left, allowed);
    const best = strokes[0];
    const worth = planner.mapOf(state);
    if (best === undefined || worth === undefined) break;
    const { rest } = simulate(best.shot, { events: false });
    const landed = rest.find(({ id }) => id === at.id);
    const fell = rest.some(({ id, pocket }) => id === best.ball && pocket === best.pocket);
    if (!fell || landed === undefined || !isOnTable(landed)) break;
    const other = strokes.find(({ ball }) => ball !== best.ball);
    steps.push({
      ball: best.ball,
      pocket: best.pocket,
      shot: best.shot,
      chance: best.chance,
      value: best.value,
      landing: { x: landed.x, y: landed.y },
      worth,
      alternative: other && {
        ball: other.ball,
        pocket: other.pocket,
        costs: Math.max(0, best.value - other.value),
      },
    });
    state = game.after(state, best.ball);
    at = { ...at, x: landed.x, y: landed.y };
    const onTable = game.onTable(state);
    left = balls.filter(({ id }) => onTable.includes(id));
  }
  if (steps.length === 0) return { kind: 'none', blocked: blockedBalls(table, balls) };
  const ends: Partial<Record<ClearanceEnd, number>> = {};
  const random = createRandom(seed);
  for (let k = 0; k < plays; k++) {
    const { end } = playOut(request, planner, { state: game.start, cue, balls }, random.fork(k), allowed);
    ends[end] = (ends[end] ?? 0) + 1;
  }
  const plan: OrderPlan = {
    cue: { x: cue.x, y: cue.y },
    steps,
    complete: game.isCleared(state),
    chance: { ...wilson(ends.cleared ?? 0, plays), plays },
    ends,
    states: planner.size,
  };
  return { kind: 'plan', plan };
}

/** The place in hand from which the plan is worth most; undefined when nothing is on from anywhere. */
function bestPlace<S>(
  { table, game, balls, allowed }: PlanRequest<S>,
  planner: OrderPlanner<S>,
): BallOnTable | undefined {
  const map = planner.mapOf(game.start);
  if (map === undefined) return undefined;
  const places = [...map.chances.keys()]
    .sort((a, b) => map.chances[b]! - map.chances[a]!)
    .slice(0, PLACES)
    .map((index) => cueBallAt(table, placeOnGrid(map, index)))
    .map((cue) => ({ cue, value: planner.choose(game.start, cue, balls, allowed)?.value ?? 0 }))
    .sort((a, b) => b.value - a.value);
  return places[0] !== undefined && places[0].value > 0 ? places[0].cue : undefined;
}

/** A ball that reaches no pocket while others are in its way. */
export interface BlockedBall {
  readonly ball: string;
  /** Ids of those in the way to the pocket with fewest of them; none when it falls into no pocket anyhow. */
  readonly by: readonly string[];
}

/** The balls that have no free way into any pocket as the table lies, with what blocks them. */
function blockedBalls(table: Table, balls: readonly BallOnTable[]): readonly BlockedBall[] {
  return balls.flatMap((ball): BlockedBall | [] => {
    const ways = potLines(table, [ball], [ball.id], acceptanceOf).map(({ pocket }) => {
      const { mouth } = pocketNamed(table, pocket);
      return balls.filter((other) => other !== ball && !isClear(ball, mouth, ball.radius, [other]));
    });
    const fewest = ways.sort((a, b) => a.length - b.length)[0];
    if (fewest?.length === 0) return [];
    return { ball: ball.id, by: (fewest ?? []).map(({ id }) => id) };
  });
}
