import { wilson, type ShareInterval } from '../statistics/wilson.ts';
import type { RoundResult } from './result.ts';

export interface MadeAttempt {
  readonly made: boolean;
}

export interface SuccessRateSettings {
  readonly attempts: number;
}

export interface SuccessRateTally extends RoundResult {
  /** The rate with its 90 % interval. */
  readonly rate: ShareInterval;
}

/** k of n. */
export function countSuccessRate(
  attempts: readonly MadeAttempt[],
  { attempts: most }: SuccessRateSettings,
): SuccessRateTally {
  const counted = attempts.slice(0, most);
  const made = counted.filter((attempt) => attempt.made).length;
  return {
    value: made,
    unit: 'hits',
    better: 'high',
    maximum: most,
    complete: counted.length >= most,
    censored: false,
    rate: wilson(made, counted.length),
  };
}
