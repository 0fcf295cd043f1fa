import { wilson } from '../statistics/wilson.ts';
import type { Rating } from './rating.ts';

/** A call weighs half as much after so many days. */
const HALF_LIFE_DAYS = 60;

/** A call as far as a rating needs it. */
export interface RatedCall {
  /** When it was made, days. */
  readonly day: number;
  /** How right it was, 0…1. */
  readonly score: number;
}

/**
 * Judgement on a scale of its own from 0 to 100: the share of calls that were right, newer ones weighing more, with Wilson's 90 % interval for their effective number (L. Kish). No virtual player calls, so it
 * is not a level.
 * @param today days, as the calls have them
 * @returns undefined for no calls
 */
export function rateJudgement(calls: readonly RatedCall[], today: number): Rating | undefined {
  if (calls.length === 0) return undefined;
  const weights = calls.map(({ day }) => 0.5 ** (Math.max(0, today - day) / HALF_LIFE_DAYS));
  const sum = weights.reduce((total, w) => total + w, 0);
  const squares = weights.reduce((total, w) => total + w * w, 0);
  const share = calls.reduce((total, { score }, i) => total + score * (weights[i] ?? 0), 0) / sum;
  const effective = (sum * sum) / squares;
  const { low, high } = wilson(Math.min(effective, share * effective), effective);
  return {
    rating: 100 * share,
    low: 100 * low,
    high: 100 * high,
    rounds: calls.length,
  };
}
