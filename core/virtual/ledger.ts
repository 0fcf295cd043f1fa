import { CUE_BALL } from '../drill/layout.ts';
import { orderGameOf, type PlanState } from '../drill/orderGame.ts';
import { beginAttempt, clearanceRules, playShot, type Attempt } from '../drill/rules.ts';
import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { OrderGame } from '../planning/order/nodes.ts';
import { OrderPlanner, type PlannedStroke } from '../planning/order/planner.ts';
import { COARSE } from '../planning/order/tableDetail.ts';
import { cueBallAt } from '../planning/windowAmong.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { LoggedShot } from '../records/loggedShot.ts';
import type { Drill } from '../records/drill.ts';
import type { PocketName } from '../table/pockets.ts';
import type { Table } from '../table/table.ts';
import { liesAfter } from '../scoring/liesAfter.ts';
import { isWhereItLay } from '../planning/order/movedBalls.ts';
import { potKindOf, type PotKind } from './potKind.ts';
import { shotRulesOf } from './shotRules.ts';

/** What a shot cost in chance of clearing, 0…1; what was won is negative. Choice, pot and position add up to the whole. */
export interface LedgerEntry {
  /** From 1. */
  readonly shot: number;
  readonly ball: string;
  /** The pocket that was played at; undefined where nobody told it and the plan sees none. */
  readonly pocket: PocketName | undefined;
  /** The chance of clearing before the shot, by the best choice of the player's own plan. */
  readonly before: number;
  /** The chance afterwards; 0 after a fault, 1 once the table is clear. */
  readonly after: number;
  readonly choice: number;
  readonly pot: number;
  readonly position: number;
  /** Undefined where the pocket is not known. */
  readonly kind: PotKind | undefined;
}

/** A clearance without a fault is what is counted. */
const ENDING = {
  missed: 'ends the attempt',
  'in-off': 'ends the attempt',
  'wrong ball': 'ends the attempt',
  'condition broken': 'ends the attempt',
} as const;

/** The first shot of an attempt before which the cue ball's place is known. */
interface KnownStart {
  /** Its number from 0. */
  readonly index: number;
  readonly attempt: Attempt;
  readonly cue: Point;
}

/** Where a ledger begins: a cue ball that was in hand is known from where it stopped first. */
function knownStart(
  rules: ReturnType<typeof clearanceRules>,
  objects: readonly BallOnTable[],
  cue: Point | undefined,
  shots: readonly LoggedShot[],
): KnownStart | undefined {
  let attempt = beginAttempt(
    rules,
    objects.map(({ id }) => id),
  );
  if (cue !== undefined) return { index: 0, attempt, cue };
  for (const [i, shot] of shots.entries()) {
    attempt = playShot(rules, attempt, shot);
    if (attempt.over !== undefined) return undefined;
    if (shot.landing !== null) return { index: i + 1, attempt, cue: shot.landing };
  }
  return undefined;
}

/**
 * Whether an attempt was written down fully enough for a ledger of at least one shot: the cue ball's place is known
 * before it, and after it unless that ended the attempt.
 * @param objects the object balls as the attempt began; @param cue where the cue ball lay, metres, undefined where nobody
 * marked it; @param shots as they were logged
 * @throws RangeError for a drill that asks for no clearance
 */
export function carriesLedger(
  base: Drill,
  objects: readonly BallOnTable[],
  cue: Point | undefined,
  shots: readonly LoggedShot[],
): boolean {
  const rules = clearanceRules({ ...base, faults: ENDING });
  const start = knownStart(rules, objects, cue, shots);
  const first = start && shots[start.index];
  if (start === undefined || first === undefined || first.ball === null) return false;
  return first.landing !== null || playShot(rules, start.attempt, first).over !== undefined;
}

/** The plan by which the shots of a clearance are judged. */
export type LedgerPlanner = OrderPlanner<PlanState>;

/**
 * The plan for a ledger: whoever works out several of the same table needs it once.
 * @param base as it is played at the stage @param objects the object balls as the attempt began
 * @returns undefined for more balls than can be planned @throws RangeError for a drill that asks for no clearance
 */
export function ledgerPlanner(
  player: LedgerPlayer,
  base: Drill,
  objects: readonly BallOnTable[],
): LedgerPlanner | undefined {
  return planOfGame(player, base, objects, gameOf(base, objects));
}

function planOfGame(
  { table, error }: LedgerPlayer,
  { conditions }: Drill,
  balls: readonly BallOnTable[],
  game: OrderGame<PlanState>,
): LedgerPlanner | undefined {
  return OrderPlanner.of({ table, balls, game, error, detail: COARSE, ...shotRulesOf(conditions) });
}

function gameOf(base: Drill, objects: readonly BallOnTable[]): OrderGame<PlanState> {
  const rules = clearanceRules({ ...base, faults: ENDING });
  const { onTable, last, suit } = beginAttempt(
    rules,
    objects.map(({ id }) => id),
  );
  const alternating = base.conditions.includes('alternating pockets');
  return orderGameOf(rules.order, { onTable, last, suit }, { alternating });
}

/** Who played, at which table. */
interface LedgerPlayer {
  readonly table: Table;
  readonly error: ExecutionError;
}

/** A moment of an attempt at which the plan is asked. */
interface Moment {
  readonly attempt: Attempt;
  readonly state: PlanState;
  readonly cue: BallOnTable;
  readonly left: readonly BallOnTable[];
}

/**
 * The ledger of one attempt: what each shot cost this player in chance of clearing without a fault, split into choice (the
 * best ball and pocket against those that were played), pot (a miss loses what was left) and position (what an average pot
 * leaves against what this one left). The chances are the values of the plan at the player's own error. It ends with the
 * first fault, or where the cue ball's place was not marked, and begins where that is known first; other balls are taken to lie where they were set, or where somebody tapped that a shot had moved them.
 * @param objects the object balls as the attempt began; @param cue where the cue ball lay, undefined where nobody marked it
 * @param planned the plan, for whoever has it @param shots as they were logged; yields an entry for each as it is worked out; none for more balls than can be planned
 * @throws RangeError for a drill that asks for no clearance
 */
export function* ledgerOf(
  player: LedgerPlayer,
  base: Drill,
  objects: readonly BallOnTable[],
  cue: Point | undefined,
  shots: readonly LoggedShot[],
  planned?: LedgerPlanner,
): Generator<LedgerEntry> {
  const drill: Drill = { ...base, faults: ENDING };
  const rules = clearanceRules(drill);
  const { table } = player;
  const game = gameOf(base, objects);
  const start = knownStart(rules, objects, cue, shots);
  if (start === undefined || !carriesLedger(base, objects, cue, shots)) return;
  const planner = planned ?? ledgerPlanner(player, base, objects);
  if (planner === undefined) return;
  /** @param played shots before it */
  const momentOf = (attempt: Attempt, place: Point, played: number): Moment => ({
    attempt,
    state: { ...game.start, onTable: attempt.onTable, last: attempt.last, suit: attempt.suit },
    cue: cueBallAt(table, place, CUE_BALL),
    left: liesAfter(objects, shots.slice(0, played)).filter(({ id }) => attempt.onTable.includes(id)),
  });
  let plan = { planner, lay: objects };
  /** Where balls were moved, what is left is planned anew. */
  const planAt = ({ state, left }: Moment): LedgerPlanner => {
    if (!left.every((ball) => isWhereItLay(plan.lay, ball))) {
      const anew = planOfGame(player, base, left, { ...game, start: state });
      if (anew !== undefined) plan = { planner: anew, lay: left };
    }
    return plan.planner;
  };
  const best = (at: Moment, only?: Pick<LoggedShot, 'ball' | 'pocket'>) => {
    const { state, cue: from, left } = at;
    const own = planAt(at);
    const stroke = own.choose(state, from, left, only);
    return stroke && own.judged(state, stroke);
  };
  const worth = (stroke: PlannedStroke | undefined) => stroke?.value ?? 0;

  let moment = momentOf(start.attempt, start.cue, start.index);
  let value = best(moment);
  for (const [i, { ball, pocket, potted, inOff, broken, landing }] of shots.slice(start.index).entries()) {
    if (ball === null || moment.attempt.over !== undefined) return;
    const before = worth(value);
    const played =
      value?.ball === ball && (pocket ?? value.pocket) === value.pocket
        ? value
        : best(moment, { ball, pocket });
    const expected = worth(played);
    const attempt = playShot(rules, moment.attempt, { potted, inOff, broken });
    const at = pocket ?? played?.pocket;
    const object = moment.left.find(({ id }) => id === ball);
    const kind = at && object && potKindOf(table, moment.cue, object, at);
    const entry = { shot: start.index + i + 1, ball, pocket: at, before, choice: before - expected, kind };
    if (attempt.over !== undefined && attempt.over !== 'cleared') {
      yield { ...entry, after: 0, pot: expected, position: 0 };
      return;
    }
    if (attempt.over === undefined && landing === null) return;
    const next = landing === null ? undefined : momentOf(attempt, landing, start.index + i + 1);
    const nextValue = attempt.over === 'cleared' || next === undefined ? undefined : best(next);
    const after = attempt.over === 'cleared' ? 1 : worth(nextValue);
    // What an average pot of this shot leaves; of a pot that the plan does not see, what was expected.
    const given =
      played === undefined || played.chance === 0 ? expected : Math.min(1, expected / played.chance);
    yield { ...entry, after, pot: expected - given, position: given - after };
    if (next === undefined) return;
    moment = next;
    value = nextValue;
  }
}
