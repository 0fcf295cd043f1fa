import type { Point } from '../../core/math/point.ts';
import { logOf, type AttemptLog } from '../../core/records/attempt.ts';
import type { LoggedShot } from '../../core/records/loggedShot.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import { progressOf, type Course } from '../../core/scoring/course.ts';
import { replayClearance } from '../../core/scoring/countAttempt.ts';
import { storedAttempt } from '../../core/scoring/storedAttempt.ts';
import type { Table } from '../../core/table/table.ts';
import type { Change } from './changes.ts';
import type { RoundState } from './deviceRound.ts';

/** What was taken back: a whole attempt, or the last shot of one. */
type Undone =
  | { readonly kind: 'attempt'; readonly attempt: StoredAttempt }
  | { readonly kind: 'shot'; readonly shot: LoggedShot };

/** What only this screen knows of a round. */
export interface OnScreen {
  /** Taken back and not yet brought back, the last one first. */
  readonly undone: readonly Undone[];
  /** The ball was potted and its landing is asked for: where the keyboard would set it, metres. */
  readonly cursor: Point | null;
  /** What was under way when the round was ended early: undo brings it back. */
  readonly cutOff: AttemptLog | null;
}

export const NOTHING_ON_SCREEN: OnScreen = { undone: [], cursor: null, cutOff: null };

/** A round while it is scored. Pure: every change gives a new state and what the server must be told. */
export interface Scoring extends RoundState, OnScreen {}

export interface Step {
  readonly scoring: Scoring;
  readonly changes: readonly Change[];
}

/** What an attempt needs from outside, so that the rules stay pure. */
export interface Stamp {
  readonly id: string;
  /** ISO 8601. */
  readonly at: string;
}

function unchanged(scoring: Scoring): Step {
  return { scoring, changes: [] };
}

/** The next attempt of the round, counted as the server will count it. */
function attemptIn(course: Course, { attempts }: Scoring, log: AttemptLog, { id, at }: Stamp): StoredAttempt {
  return storedAttempt(course.counting, log, { id, ordinal: attempts.length + 1, playedAt: at });
}

function add(
  course: Course,
  scoring: Scoring,
  attempt: StoredAttempt,
  undone: readonly Undone[],
  at: string,
): Step {
  const attempts = [...scoring.attempts, attempt];
  const over = progressOf(course, attempts).result.complete;
  return {
    scoring: {
      attempts,
      underWay: null,
      undone,
      ended: over ? { at, early: false } : null,
      cursor: null,
      cutOff: null,
    },
    changes: [
      { kind: 'attempt', attempt },
      ...(scoring.underWay === null ? [] : [{ kind: 'under way' as const, log: null, at }]),
      ...(over ? [{ kind: 'end' as const, at, early: false }] : []),
    ],
  };
}

/** The ball was potted: now the landing is asked for, from the planned place on. */
export function potted(scoring: Scoring, planned: Point): Scoring {
  return scoring.ended !== null || scoring.cursor !== null ? scoring : { ...scoring, cursor: planned };
}

/** A whole attempt, entered at once. @throws UncountableError when the log does not fit the drill */
export function enter(course: Course, scoring: Scoring, log: AttemptLog, stamp: Stamp): Step {
  if (scoring.ended !== null) return unchanged(scoring);
  const { set, seed, places, suit } = scoring.underWay ?? logOf({});
  const whole = {
    ...log,
    set: log.set ?? set,
    seed: log.seed ?? seed,
    places: log.places ?? places,
    suit: log.suit ?? suit,
  };
  const attempt = attemptIn(course, scoring, whole, stamp);
  return add(course, scoring, attempt, [], stamp.at);
}

/** Sets the balls of the next attempt otherwise: fewer, thrown anew, placed by hand; the suit that is chosen. */
export function prepare(
  scoring: Scoring,
  change: Partial<Pick<AttemptLog, 'set' | 'seed' | 'places' | 'suit'>>,
  at: string,
): Step {
  if (scoring.ended !== null || (scoring.underWay?.shots.length ?? 0) > 0) return unchanged(scoring);
  const underWay = { ...(scoring.underWay ?? logOf({ detail: 'full' })), ...change };
  return { scoring: { ...scoring, underWay }, changes: [{ kind: 'under way', log: underWay, at }] };
}

function underWayWith(scoring: Scoring, set: AttemptLog['set'], shot: LoggedShot): AttemptLog {
  const before = scoring.underWay ?? logOf({ set });
  return { ...before, detail: 'full', set: before.set ?? set, entered: null, shots: [...before.shots, shot] };
}

/**
 * One shot of a clearance; the one that clears the table or is a fault that ends the attempt makes it one.
 * @param set the object balls with which the attempt begins, null for all
 * @throws UncountableError for a shot that the table does not allow
 */
export function shoot(
  course: Course,
  scoring: Scoring,
  shot: LoggedShot,
  set: AttemptLog['set'],
  stamp: Stamp,
): Step {
  if (scoring.ended !== null) return unchanged(scoring);
  return shootOn(course, scoring, underWayWith(scoring, set, shot), [], stamp);
}

function shootOn(
  course: Course,
  scoring: Scoring,
  log: AttemptLog,
  undone: readonly Undone[],
  stamp: Stamp,
): Step {
  const { over } = replayClearance(course.counting.drill, log.set, log.shots);
  if (over !== undefined) {
    const attempt = attemptIn(course, scoring, log, stamp);
    return add(course, { ...scoring, underWay: log }, attempt, undone, stamp.at);
  }
  return {
    scoring: { ...scoring, underWay: log, undone },
    changes: [{ kind: 'under way', log, at: stamp.at }],
  };
}

/** Notes more about the last shot: where it stopped, why it failed, luck, the side that was used. */
export function note(course: Course, scoring: Scoring, about: Partial<LoggedShot>, at: string): Step {
  const noted = (shots: readonly LoggedShot[]) =>
    shots.map((shot, i) => (i === shots.length - 1 ? { ...shot, ...about } : shot));
  if (scoring.underWay !== null && scoring.underWay.shots.length > 0) {
    const underWay = { ...scoring.underWay, shots: noted(scoring.underWay.shots) };
    return { scoring: { ...scoring, underWay }, changes: [{ kind: 'under way', log: underWay, at }] };
  }
  const last = scoring.attempts.at(-1);
  if (last === undefined || last.log.shots.length === 0) return unchanged(scoring);
  const log = { ...last.log, detail: 'full' as const, shots: noted(last.log.shots) };
  const { id, ordinal, playedAt, changed } = last;
  const attempt = { ...storedAttempt(course.counting, log, { id, ordinal, playedAt }), changed };
  return {
    scoring: { ...scoring, attempts: [...scoring.attempts.slice(0, -1), attempt] },
    changes: [{ kind: 'note', id: last.id, log }],
  };
}

/** Tells a past attempt otherwise, with the reason. The round may be over by it, or go on again. */
export function change(
  course: Course,
  scoring: Scoring,
  told: { readonly id: string; readonly log: AttemptLog; readonly reason: string; readonly by: string },
  at: string,
): Step {
  const { id, log, reason, by } = told;
  const attempts = scoring.attempts.map((attempt) =>
    attempt.id === id
      ? {
          ...storedAttempt(course.counting, log, {
            id,
            ordinal: attempt.ordinal,
            playedAt: attempt.playedAt,
          }),
          changed: { reason, by, at },
        }
      : attempt,
  );
  return {
    scoring: { ...scoring, attempts },
    changes: [{ kind: 'change', id, log, reason, by, at }],
  };
}

/**
 * Takes the last entry back: a half-made pot, the early end of the round, the last shot, else the last attempt, which
 * opens a round that was over again.
 */
export function undo(scoring: Scoring, at: string): Step {
  const { underWay, attempts, undone } = scoring;
  if (scoring.cursor !== null) return unchanged({ ...scoring, cursor: null });
  if (scoring.ended?.early === true) {
    const { cutOff } = scoring;
    return {
      scoring: { ...scoring, ended: null, underWay: cutOff, cutOff: null },
      changes: [
        { kind: 'reopen' },
        ...(cutOff === null ? [] : [{ kind: 'under way' as const, log: cutOff, at }]),
      ],
    };
  }
  const shot = underWay?.shots.at(-1);
  if (underWay !== null && shot !== undefined) {
    const shots = underWay.shots.slice(0, -1);
    const log = { ...underWay, shots };
    return {
      scoring: { ...scoring, underWay: log, undone: [{ kind: 'shot', shot }, ...undone] },
      changes: [{ kind: 'under way', log, at }],
    };
  }
  const last = attempts.at(-1);
  if (last === undefined) return unchanged(scoring);
  // An attempt logged shot by shot is opened again before its last shot.
  const byShot = last.log.entered === null && last.log.shots.length > 1;
  const opened = byShot ? { ...last.log, shots: last.log.shots.slice(0, -1) } : null;
  return {
    scoring: {
      attempts: attempts.slice(0, -1),
      underWay: opened,
      undone: [{ kind: 'attempt', attempt: last }, ...undone],
      ended: null,
      cursor: null,
      cutOff: null,
    },
    changes: [
      { kind: 'undo', id: last.id },
      ...(opened === null && underWay === null ? [] : [{ kind: 'under way' as const, log: opened, at }]),
    ],
  };
}

/** Brings back what was taken back last; an attempt as a new one, for what is taken back stays so on the server. */
export function redo(course: Course, scoring: Scoring, stamp: Stamp): Step {
  const [last, ...others] = scoring.undone;
  if (last === undefined || scoring.ended !== null) return unchanged(scoring);
  if (last.kind === 'attempt') {
    const ordinal = scoring.attempts.length + 1;
    const attempt = { ...last.attempt, id: stamp.id, ordinal, changed: null };
    return add(course, scoring, attempt, others, stamp.at);
  }
  return shootOn(course, scoring, underWayWith(scoring, null, last.shot), others, stamp);
}

/** Ends the round before its last shot. */
export function endEarly(scoring: Scoring, at: string): Step {
  if (scoring.ended !== null) return unchanged(scoring);
  return {
    scoring: {
      ...scoring,
      ended: { at, early: true },
      underWay: null,
      cursor: null,
      cutOff: scoring.underWay,
    },
    changes: [{ kind: 'end', at, early: true }],
  };
}

/** The nearest place that a ball's centre can take. */
export function onCloth(place: Point, table: Table): Point {
  const radius = table.preset.cueBallRadius;
  const within = (value: number, size: number) => Math.min(size - radius, Math.max(radius, value));
  return { x: within(place.x, table.length), y: within(place.y, table.width) };
}
