import type { RoundResult } from './result.ts';
import type { MadeAttempt } from './successRate.ts';

export interface StreakSettings {
  readonly attempts: number;
}

export interface StreakTally extends RoundResult {
  /** Length of the run that is on. */
  readonly current: number;
}

/** The longest run of successes over re-set layouts. */
export function countStreak(
  attempts: readonly MadeAttempt[],
  { attempts: most }: StreakSettings,
): StreakTally {
  let current = 0;
  let best = 0;
  const counted = attempts.slice(0, most);
  for (const { made } of counted) {
    current = made ? current + 1 : 0;
    best = Math.max(best, current);
  }
  return {
    value: best,
    unit: 'run',
    better: 'high',
    maximum: most,
    complete: counted.length >= most,
    censored: false,
    current,
  };
}
