import { orderGameOf, type PlanState } from '../drill/orderGame.ts';
import { placesInHand } from '../drill/inHand.ts';
import { clearanceRules } from '../drill/rules.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { MANY_NODES } from '../planning/order/nodes.ts';
import { bestPlace } from '../planning/order/course.ts';
import { CAREFUL, QUICK_LOOK } from '../planning/order/look.ts';
import { isWhereItLay } from '../planning/order/movedBalls.ts';
import { OrderPlanner } from '../planning/order/planner.ts';
import { COARSE, GLANCE } from '../planning/order/tableDetail.ts';
import type { Drill } from '../records/drill.ts';
import type { ChosenPot } from './choosePot.ts';
import type { VirtualPlayer } from './player.ts';
import { shotRulesOf } from './shotRules.ts';

/** Who looks fewer pots ahead than this needs no plan. */
const PLANS_FROM = 2;
/** Plans that are kept: the table of a drill is set again and again. */
const KEPT = 24;

interface KnownPlan {
  /** The balls as they lay when it was made. */
  readonly lay: readonly BallOnTable[];
  readonly planner: OrderPlanner<PlanState>;
  /** Where a cue ball in hand goes, and the stroke from a place, as they were found for the table as it is set. */
  readonly places: Map<string, BallOnTable | undefined>;
  readonly strokes: Map<string, ChosenPot | undefined>;
}

/** The plan of a virtual player for a table as it lies. */
export interface ClearancePlan {
  /** Where a cue ball in hand goes; undefined where nothing is on from any place. */
  readonly place: (cueBall: Drill['cueBall']) => BallOnTable | undefined;
  /** The next stroke; undefined where nothing is on by the plan. */
  readonly choose: (state: PlanState, cue: BallOnTable) => ChosenPot | undefined;
}

/** Plans tables as they lie; undefined where the player does not plan, or there are too many ways to go on. */
export type ClearancePlans = (state: PlanState, balls: readonly BallOnTable[]) => ClearancePlan | undefined;

/**
 * How a virtual player plans the clearances of a drill: as many pots ahead as it looks. The same table is planned once.
 * @throws RangeError for a drill that asks for no clearance
 */
export function clearancePlans(player: VirtualPlayer, drill: Drill): ClearancePlans {
  const { table, error, looksAhead = 1 } = player;
  const { order } = clearanceRules(drill);
  const rules = shotRulesOf(drill.conditions);
  // Straight pots are chosen without a plan; those by a cushion are known to plans only.
  if (looksAhead < PLANS_FROM && !rules.cushionFirst) return () => undefined;
  const alternating = drill.conditions.includes('alternating pockets');
  // Of few strokes all may break a condition.
  const look = drill.conditions.length > 0 ? { ...CAREFUL, freeing: false } : QUICK_LOOK;

  let known: readonly KnownPlan[] = [];

  /** A plan that was made for this table, or for one of which it is what is left; or a new one. */
  const planOf = (state: PlanState, balls: readonly BallOnTable[]) => {
    const found = known.find(
      ({ lay, planner }) =>
        planner.mapOf(state) !== undefined && balls.every((ball) => isWhereItLay(lay, ball)),
    );
    const plan = found ?? made(state, balls);
    if (plan !== undefined) known = [plan, ...known.filter((each) => each !== plan)].slice(0, KEPT);
    return plan;
  };

  const made = (state: PlanState, balls: readonly BallOnTable[]): KnownPlan | undefined => {
    // Tables that came about while playing are met once.
    const detail = state.step === 0 ? COARSE : GLANCE;
    const game = { ...orderGameOf(order, state, { alternating }), start: state };
    const planner = OrderPlanner.of(
      { table, balls, game, error, detail, ahead: looksAhead, look, ...rules },
      MANY_NODES,
    );
    return planner && { lay: balls, planner, places: new Map(), strokes: new Map() };
  };

  return (state, balls) => {
    const plan = planOf(state, balls);
    if (plan === undefined) return undefined;
    const { planner, places, strokes } = plan;
    // The beginning of a table that is set again is always the same; what comes later never is.
    const isFirst = state.step === 0;
    const lay = JSON.stringify(balls);
    return {
      place: (cueBall) => {
        const find = () => bestPlace({ table, state, balls }, planner, placesInHand(table.preset, cueBall));
        return isFirst ? remembered(places, lay + JSON.stringify(cueBall), find) : find();
      },
      choose: (now, cue) => {
        const find = () => planner.choose(now, cue, balls);
        return isFirst ? remembered(strokes, lay + [cue.x, cue.y].join(), find) : find();
      },
    };
  };
}

function remembered<T>(known: Map<string, T>, key: string, find: () => T): T {
  const there = known.get(key);
  if (there !== undefined) return there;
  const found = find();
  known.set(key, found);
  return found;
}
