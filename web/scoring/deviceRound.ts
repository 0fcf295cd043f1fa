import type { AttemptLog } from '../../core/records/attempt.ts';
import type { Course, ScoredSoFar } from '../../core/scoring/course.ts';
import { storedAttempt } from '../../core/scoring/storedAttempt.ts';
import type { Change } from './changes.ts';

/**
 * A round on a device: what the server said last, and what was entered here since and is not known to be in that. The
 * second is laid over the first, so that an answer of the server, however old or late, never takes away what was
 * entered. Pure; the times and ways of requests do not matter to it.
 */
export interface DeviceRound {
  readonly stored: RoundState;
  /** Oldest first; the key is that of the request in the outbox. */
  readonly unconfirmed: readonly { readonly key: string; readonly change: Change }[];
  /** Number of the newest question that was answered, from 1. */
  readonly answered: number;
}

/** What server and device may differ in. */
export interface RoundState extends ScoredSoFar {
  /** An attempt of which some shots are logged, or whose balls are set otherwise; null before its first shot. */
  readonly underWay: AttemptLog | null;
}

/** A question to the server, made the moment before it is sent. */
export interface Asked {
  /** Counts the questions of this device, from 1. */
  readonly number: number;
  /** What was unconfirmed then. */
  readonly entered: ReadonlySet<string>;
  /** What stood in journal or outbox when looked at after that and before the server was asked. */
  readonly waiting: ReadonlySet<string>;
}

/** A change as the server makes it too; made twice it is made once. */
function applied(course: Course, state: RoundState, change: Change): RoundState {
  const { attempts } = state;
  switch (change.kind) {
    case 'attempt': {
      const { id, ordinal } = change.attempt;
      if (attempts.some((each) => each.id === id)) return state;
      // What was entered here is shown until the server has said which entry of the shot stands.
      const others = attempts.filter((each) => each.ordinal !== ordinal);
      return { ...state, attempts: [...others, change.attempt].sort((a, b) => a.ordinal - b.ordinal) };
    }
    case 'undo':
      if (!attempts.some(({ id }) => id === change.id)) return state;
      return { ...state, attempts: attempts.filter(({ id }) => id !== change.id), ended: null };
    case 'end':
      return {
        ...state,
        underWay: null,
        ended: state.ended ?? { at: change.at, early: change.early },
      };
    case 'reopen':
      return { ...state, ended: null };
    case 'under way':
      return state.ended === null ? { ...state, underWay: change.log } : state;
    case 'note':
    case 'change':
      return {
        ...state,
        attempts: attempts.map((attempt) => {
          if (attempt.id !== change.id) return attempt;
          const counted = storedAttempt(course.counting, change.log, attempt);
          const changed =
            change.kind === 'note'
              ? attempt.changed
              : { reason: change.reason, by: change.by, at: change.at };
          return { ...counted, changed };
        }),
      };
  }
}

/** What is shown: the server's state with what was entered here laid over it. */
export function shownOf(course: Course, { stored, unconfirmed }: DeviceRound): RoundState {
  return unconfirmed.reduce((state, { change }) => applied(course, state, change), stored);
}

export function startDevice(stored: RoundState, unconfirmed: DeviceRound['unconfirmed']): DeviceRound {
  return { stored, unconfirmed, answered: 0 };
}

/** Something was entered; it stands in the journal by its key. */
export function withEntered(device: DeviceRound, entered: DeviceRound['unconfirmed']): DeviceRound {
  return { ...device, unconfirmed: [...device.unconfirmed, ...entered] };
}

/**
 * The server answered. What had been entered and waited no more before the question was sent is in the answer, or was
 * refused; all else stays laid over it. An answer to an older question than one answered already says nothing new.
 */
export function withAnswer(device: DeviceRound, asked: Asked, stored: RoundState): DeviceRound {
  if (asked.number <= device.answered) return device;
  return {
    stored,
    unconfirmed: device.unconfirmed.filter(({ key }) => !asked.entered.has(key) || asked.waiting.has(key)),
    answered: asked.number,
  };
}
