import type { Condition, Drill, Fault, Order } from '../records/drill.ts';
import { ballValue, foulPenalty } from '../counting/breakPoints.ts';
import { isDone, legalBalls, respotted, suitTaken, type OrderState } from './legalBalls.ts';

/** What the coach enters of one shot of a clearance. */
export interface PlayedShot {
  /** The ball that was played at, where it was noted: of colours that are all on the nominated one. */
  readonly ball?: string | null | undefined;
  /** Object balls potted, whichever. */
  readonly potted: readonly string[];
  readonly inOff: boolean;
  /** Conditions of the drill that the shot broke, as the coach saw it. */
  readonly broken: readonly Condition[];
}

/** An attempt at a clearance while it goes on. Every change is a new value: undo is the value before. */
export interface Attempt extends OrderState {
  readonly shots: number;
  /** Balls made by rule, respotted ones each time. */
  readonly made: number;
  /** Their points, for the games that count them. */
  readonly points: number;
  readonly penalty: number;
  /** What may be potted next; empty once the attempt is over. */
  readonly legal: readonly string[];
  /** Balls of the last shot that come back on their spots. */
  readonly respot: readonly string[];
  readonly cueBall: 'as the drill starts' | 'where it stopped' | 'in hand' | 'where it was planned';
  readonly faults: readonly { readonly shot: number; readonly fault: Fault }[];
  /** Why the attempt is over; undefined while it goes on. */
  readonly over: 'cleared' | Fault | undefined;
}

type Rules = Pick<Drill, 'faults' | 'repair'> & { readonly order: Order };

/** The rules of a drill that asks for a clearance. @throws RangeError for another drill */
export function clearanceRules(drill: Drill): Rules {
  if (drill.task.kind !== 'clear') throw new RangeError('clearanceRules: the drill asks for no clearance');
  return { order: drill.task.order, faults: drill.faults, repair: drill.repair };
}

/** The start of an attempt. @param balls object balls on the table, in any order */
export function beginAttempt({ order }: Rules, balls: readonly string[]): Attempt {
  const state = { onTable: balls, last: undefined, suit: undefined };
  return {
    ...state,
    shots: 0,
    made: 0,
    points: 0,
    penalty: 0,
    legal: legalBalls(order, state),
    respot: [],
    cueBall: 'as the drill starts',
    faults: [],
    over: balls.length === 0 ? 'cleared' : undefined,
  };
}

function faultOf({ order }: Rules, before: Attempt, shot: PlayedShot): Fault | undefined {
  if (shot.inOff) return 'in-off';
  const legalPotted = shot.potted.filter((id) => before.legal.includes(id));
  // In rotation what falls beside the lowest ball stays down and counts; elsewhere it is a fault.
  const wrong =
    order.kind === 'rotation'
      ? shot.potted.length > 0 && legalPotted.length === 0
      : shot.potted.some((id) => !before.legal.includes(id));
  const several =
    order.kind === 'red and colour' &&
    legalPotted.some((id) => !id.startsWith('red')) &&
    legalPotted.length > 1;
  if (wrong || several) return 'wrong ball';
  if (shot.broken.length > 0) return 'condition broken';
  return legalPotted.length === 0 ? 'missed' : undefined;
}

const counts = (order: Order) => order.kind === 'red and colour';

/**
 * What an attempt is after one more shot: which balls are left, what comes next, whether it is over and why. A ball
 * made on a faulty shot does not count; it stays down unless the game puts it back.
 * @throws RangeError for a ball that is not on the table, or a shot after the end
 */
export function playShot(rules: Rules, before: Attempt, shot: PlayedShot): Attempt {
  if (before.over !== undefined) throw new RangeError('playShot: the attempt is over');
  const absent = shot.potted.find((id) => !before.onTable.includes(id));
  if (absent !== undefined) throw new RangeError(`playShot: ball ${absent} is not on the table`);
  const { order } = rules;
  const fault = faultOf(rules, before, shot);
  const down = before.onTable.filter((id) => !shot.potted.includes(id));
  const back = respotted(order, shot.potted, { before, left: down, faulty: fault !== undefined });
  const onTable = before.onTable.filter((id) => down.includes(id) || back.includes(id));
  const scored = fault === undefined ? shot.potted : [];
  const first = scored[0];
  const state: OrderState = {
    onTable,
    last: first ?? (counts(order) ? undefined : before.last),
    suit: before.suit ?? (first === undefined ? undefined : suitTaken(order, first)),
  };
  const ends = fault !== undefined && rules.faults[fault] === 'ends the attempt';
  const over = ends ? fault : isDone(order, state) ? 'cleared' : undefined;
  return {
    ...state,
    shots: before.shots + 1,
    made: before.made + scored.length,
    points: before.points + (counts(order) ? scored.reduce((sum, id) => sum + ballValue(id), 0) : 0),
    penalty:
      before.penalty +
      (counts(order) && isFoul(fault) ? foulPenalty([...ballsOn(before, shot), ...shot.potted]) : 0),
    legal: over === undefined ? legalBalls(order, state) : [],
    respot: back,
    cueBall: cueBallAfter(rules, fault),
    faults: fault === undefined ? before.faults : [...before.faults, { shot: before.shots + 1, fault }],
    over,
  };
}

/** Whether several colours are on, so that the player names one: a foul costs by that one. */
export function asksNomination({ order }: Pick<Rules, 'order'>, { legal }: Pick<Attempt, 'legal'>): boolean {
  return counts(order) && legal.length > 1 && legal.every((id) => !id.startsWith('red'));
}

/** The ball that was on, as far as it is known: the only one, or the one that was played at. */
function ballsOn({ legal }: Attempt, { ball }: PlayedShot): readonly string[] {
  if (legal.every((id) => ballValue(id) === ballValue(legal[0] ?? id))) return legal.slice(0, 1);
  return legal.filter((id) => id === ball);
}

/** A plain miss gives nothing away. */
function isFoul(fault: Fault | undefined): boolean {
  return fault === 'in-off' || fault === 'wrong ball';
}

function cueBallAfter({ repair }: Rules, fault: Fault | undefined): Attempt['cueBall'] {
  if (fault === 'in-off') return 'in hand';
  if (fault === undefined || repair === 'play on') return 'where it stopped';
  return repair === 'ball in hand' ? 'in hand' : 'where it was planned';
}
