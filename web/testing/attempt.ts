import { logOf } from '../../core/records/attempt.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';

/** An attempt that was missed, with what a test changes about it. */
export function attempt(id: string, change: Partial<StoredAttempt> = {}): StoredAttempt {
  return {
    id,
    ordinal: 1,
    outcome: 'missed',
    landing: null,
    points: 0,
    along: null,
    across: null,
    log: logOf({}),
    counted: { done: false },
    playedAt: '2026-11-24T12:00:00Z',
    changed: null,
    ...change,
  };
}
