import { layOut } from '../drill/layout.ts';
import type { PlannedShot } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import { objectBalls, outcomeOf, type AttemptOutcome } from '../drill/round.ts';
import { beginAttempt, clearanceRules, playShot, type Attempt } from '../drill/rules.ts';
import { mostTargetPoints } from '../drill/targets.ts';
import type { AttemptLog } from '../records/attempt.ts';
import type { Entered } from '../records/entered.ts';
import type { LoggedShot } from '../records/loggedShot.ts';
import type { Drill } from '../records/drill.ts';
import type { TablePreset } from '../table/preset.ts';
import { targetPoints } from './targetPoints.ts';
import { zonePoints } from './zonePoints.ts';

/** A log that does not fit its drill. */
export class UncountableError extends Error {
  override name = 'UncountableError';
  /** What of the log is at fault. */
  readonly field: string;

  constructor(field: string, message: string) {
    super(message);
    this.field = field;
  }
}

/** What counting needs besides the log. */
export interface Counting {
  /** The drill as it is played at the stage. */
  readonly drill: Drill;
  readonly stage: number;
  readonly preset: TablePreset;
  /** The solved stroke of a position drill, whose window is counted by; undefined for other drills. */
  readonly plan: PlannedShot | undefined;
}

function needed<T>(value: T | null | undefined, field: string): T {
  if (value === null || value === undefined) throw new UncountableError(field, `${field} is missing`);
  return value;
}

function onlyShot({ shots }: AttemptLog): LoggedShot {
  if (shots.length > 1) throw new UncountableError('shots', 'shots must be one for this drill');
  return needed(shots[0], 'shots');
}

/** Whether a drill's points are entered, since a stretch of cushion or a thickness is judged by eye. */
export function judgedByEye({ targets }: Pick<Drill, 'targets'>): boolean {
  return targets.some(({ kind }) => kind === 'cushion' || kind === 'thickness');
}

function countLanding({ drill, stage, preset, plan }: Counting, log: AttemptLog): AttemptOutcome {
  const shot = onlyShot(log);
  const { task } = drill;
  const wanted = task.kind === 'position' ? task.pot : task.kind === 'land' ? task.pot?.ball : undefined;
  const potted = wanted === undefined || shot.potted.includes(wanted);
  if (!potted || shot.inOff) return { done: false, points: 0 };
  if (isPositionDrill(drill)) {
    if (plan === undefined) throw new RangeError('countAttempt: a position drill needs its planned shot');
    const landing = needed(shot.landing, 'landing');
    const bands = drill.stages[stage - 1]?.bands ?? [];
    return { done: true, points: zonePoints('potted', landing, plan.window, bands) };
  }
  if (judgedByEye(drill)) {
    const points = needed(log.entered?.points, 'points');
    const most = mostTargetPoints(drill.targets);
    if (points > most) throw new UncountableError('points', `points must be at most ${most}`);
    return { done: true, points };
  }
  const landing = needed(shot.landing, 'landing');
  return { done: true, points: targetPoints(landing, drill.targets, preset, layOut(drill, preset)) };
}

/** The object balls of an attempt. @throws UncountableError when the log sets one that the drill does not have */
export function ballsSet(drill: Drill, set: AttemptLog['set']): readonly string[] {
  const all = objectBalls(drill);
  if (set === null) return all;
  const stranger = set.find((id) => !all.includes(id));
  if (stranger !== undefined)
    throw new UncountableError('set', `set names ${stranger}, which the drill has not`);
  if (new Set(set).size !== set.length) throw new UncountableError('set', 'set names a ball twice');
  return all.filter((id) => set.includes(id));
}

/**
 * A clearance as far as it was logged: what is left, what comes next, whether it is over.
 * @throws UncountableError for a shot at a ball that is not on the table, or after the end
 */
export function replayClearance(
  drill: Drill,
  set: AttemptLog['set'],
  shots: readonly Pick<LoggedShot, 'ball' | 'potted' | 'inOff' | 'broken'>[],
): Attempt {
  const rules = clearanceRules(drill);
  return shots.reduce(
    (attempt, shot, i) => {
      try {
        return playShot(rules, attempt, shot);
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        throw new UncountableError(`shots[${i}]`, error.message.replace('playShot: ', ''));
      }
    },
    beginAttempt(rules, ballsSet(drill, set)),
  );
}

function countClearance(drill: Drill, log: AttemptLog): AttemptOutcome {
  const set = ballsSet(drill, log.set);
  if (log.entered === null) {
    const attempt = replayClearance(drill, log.set, log.shots);
    if (attempt.over === undefined) throw new UncountableError('shots', 'the attempt is not over');
    return outcomeOf(attempt);
  }
  const { done, balls, points, penalty } = log.entered;
  // Respotted balls and colours are made more than once: only the points bound those.
  const again =
    drill.task.kind === 'clear' && ['money ball', 'red and colour'].includes(drill.task.order.kind);
  if (balls !== null && !again && balls > set.length) {
    throw new UncountableError('balls', `balls must be at most ${set.length}`);
  }
  if (balls !== null && !again && done !== (balls === set.length)) {
    throw new UncountableError('done', 'done must be true when all balls are made, and only then');
  }
  return {
    done,
    balls: balls ?? (done ? set.length : undefined),
    points: points ?? undefined,
    penalty: penalty ?? 0,
  };
}

function countEntered(entered: Entered, shot: LoggedShot | undefined): AttemptOutcome {
  const { done, target, kick, opening, call } = entered;
  return {
    done,
    target: target ?? undefined,
    grade: shot?.grade ?? undefined,
    kick: kick ?? undefined,
    opening: opening === null ? undefined : openingOf(opening),
    call: call === null ? undefined : { called: call.called, computed: call.computed, played: call.played },
  };
}

function openingOf({ balls, control, layout, inOff }: NonNullable<Entered['opening']>) {
  return { balls, control, layout, inOff };
}

/** What the method of a drill counts besides whether an attempt was made; throws when the log lacks it. */
function checkMethod(drill: Drill, outcome: AttemptOutcome): void {
  const balls = objectBalls(drill);
  switch (drill.scoring.method) {
    case 'balls-made':
    case 'clear-or-restart':
      needed(outcome.balls, 'balls');
      break;
    case 'break-points':
    case 'zone-points':
      needed(outcome.points, 'points');
      break;
    case 'lives':
      if (!balls.includes(needed(outcome.target, 'target'))) {
        throw new UncountableError('target', 'target is not a ball of the drill');
      }
      break;
    case 'graded-contact':
      needed(outcome.grade, 'grade');
      break;
    case 'kick':
      needed(outcome.kick, 'kick');
      break;
    case 'break-score':
      needed(outcome.opening, 'opening');
      break;
    case 'call-it':
      needed(outcome.call, 'call');
      break;
    default:
  }
}

/**
 * What an attempt came to, from its log: a quick one says it, a full one is played through the drill's rules. Both give
 * the same count of the same attempt.
 * @throws UncountableError when the log does not fit the drill
 */
export function countAttempt(counting: Counting, log: AttemptLog): AttemptOutcome {
  const { drill } = counting;
  const { task, scoring } = drill;
  const outcome =
    task.kind === 'position' || task.kind === 'land'
      ? countLanding(counting, log)
      : task.kind === 'clear' && scoring.method !== 'lives'
        ? countClearance(drill, log)
        : countEntered(needed(log.entered, 'entered'), log.shots[0]);
  checkMethod(drill, outcome);
  return outcome;
}
