import type { RoundResult } from './result.ts';

export interface ClearAttempt {
  readonly cleared: boolean;
}

export interface AttemptsToClearSettings {
  /** The round is given up after so many tries; null to go on until it is done. */
  readonly giveUpAfter: number | null;
}

/**
 * How many tries a clear took: 1 at the first. A round that is open or was given up is censored at the tries it had.
 * What comes after the clear does not count.
 */
export function countAttemptsToClear(
  attempts: readonly ClearAttempt[],
  { giveUpAfter }: AttemptsToClearSettings,
): RoundResult {
  const most = giveUpAfter ?? Infinity;
  const tries = attempts.slice(0, most);
  const at = tries.findIndex((attempt) => attempt.cleared);
  return {
    value: at < 0 ? tries.length : at + 1,
    unit: 'tries',
    better: 'low',
    maximum: 1,
    complete: at >= 0 || tries.length >= most,
    censored: at < 0,
  };
}
