import type { RoundResult } from './result.ts';

export interface BreakAttempt {
  readonly balls: number;
  /** How well the cue ball was kept, 0…3. */
  readonly control: number;
  /** How good the layout is afterwards, 0…3. */
  readonly layout: number;
  readonly inOff: boolean;
}

export interface BreakScoreSettings {
  readonly attempts: number;
  readonly weights: { readonly balls: number; readonly control: number; readonly layout: number };
  /** Balls that count at most. */
  readonly mostBalls: number;
  /** A break with fewer balls than this is dry, whatever else it did. */
  readonly dryBelow: number;
  /** What is left of a break's points after an in-off, 0…1. */
  readonly afterInOff: number;
}

export interface BreakScoreTally extends RoundResult {
  readonly dry: number;
  readonly inOffs: number;
}

/** The three sides of a break, each grade 0…3. */
const BEST_GRADE = 3;

/** The points of one break. */
export function breakPoints(
  attempt: BreakAttempt,
  settings: Omit<BreakScoreSettings, 'attempts' | 'dryBelow'>,
): number {
  const { weights, mostBalls, afterInOff } = settings;
  const points =
    weights.balls * Math.min(mostBalls, attempt.balls) +
    weights.control * Math.min(BEST_GRADE, attempt.control) +
    weights.layout * Math.min(BEST_GRADE, attempt.layout);
  return attempt.inOff ? afterInOff * points : points;
}

/** Balls down, control and layout, each weighted by the drill. */
export function countBreakScore(
  attempts: readonly BreakAttempt[],
  settings: BreakScoreSettings,
): BreakScoreTally {
  const { weights, mostBalls, dryBelow } = settings;
  const counted = attempts.slice(0, settings.attempts);
  return {
    value: counted.reduce((sum, attempt) => sum + breakPoints(attempt, settings), 0),
    unit: 'points',
    better: 'high',
    maximum:
      settings.attempts * (weights.balls * mostBalls + (weights.control + weights.layout) * BEST_GRADE),
    complete: counted.length >= settings.attempts,
    censored: false,
    dry: counted.filter((attempt) => attempt.balls < dryBelow).length,
    inOffs: counted.filter((attempt) => attempt.inOff).length,
  };
}
