import type { RackKind } from '../../rack/rack.ts';
import { mean } from '../../statistics/summary.ts';
import type { PlayedBreak } from './breakStudy.ts';

/**
 * What one break is worth, 0…1: at pool the chance of the next pot after a ball down without a foul, else nothing; of a
 * break-off that nothing is on for the opponent, a foul being worth nothing.
 */
export function worthOfBreak(
  kind: RackKind,
  { foul, down, next }: Pick<PlayedBreak, 'foul' | 'down' | 'next'>,
): number {
  if (foul) return 0;
  if (kind === 'reds') return 1 - next;
  return down.length > 0 ? next : 0;
}

/** A mean worth, −1…1, and its standard error. */
export interface MeanWorth {
  readonly worth: number;
  readonly error: number;
}

/** The mean of some values and its standard error. @throws RangeError for no values */
export function worthOf(values: readonly number[]): MeanWorth {
  const worth = mean(values);
  const spread = mean(values.map((each) => (each - worth) ** 2));
  return { worth, error: Math.sqrt(spread / values.length) };
}
