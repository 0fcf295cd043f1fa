import type { AttemptLog } from '../records/attempt.ts';
import type { StoredAttempt } from '../records/storedAttempt.ts';
import { countAttempt, type Counting } from './countAttempt.ts';
import { reviewLanding } from './landing.ts';

/** What an attempt has besides what was logged. */
export interface AttemptHead {
  readonly id: string;
  /** From 1. */
  readonly ordinal: number;
  /** ISO 8601. */
  readonly playedAt: string;
}

/**
 * An attempt as it is stored: its log, what it counts to, and how far from the plan a single shot that was done ended.
 * @throws UncountableError when the log does not fit the drill
 */
export function storedAttempt(counting: Counting, log: AttemptLog, head: AttemptHead): StoredAttempt {
  const counted = countAttempt(counting, log);
  const landing = log.shots.length === 1 && counted.done ? (log.shots[0]?.landing ?? null) : null;
  const review =
    landing === null || counting.plan === undefined ? undefined : reviewLanding(counting.plan, landing);
  return {
    ...head,
    outcome: counted.done ? 'potted' : log.shots.at(-1)?.inOff === true ? 'in-off' : 'missed',
    landing,
    points: counted.points ?? 0,
    along: review?.along ?? null,
    across: review?.across ?? null,
    log,
    counted,
    changed: null,
  };
}
