import type { RoundResult } from './result.ts';

export interface BallsAttempt {
  /** Balls made before the fault; one made on the faulty shot does not count. */
  readonly balls: number;
}

export interface BallsMadeSettings {
  readonly trials: number;
  /** Balls of the layout. */
  readonly balls: number;
}

/** Balls made before the fault, summed over the trials. */
export function countBallsMade(
  attempts: readonly BallsAttempt[],
  { trials, balls }: BallsMadeSettings,
): RoundResult {
  const counted = attempts.slice(0, trials);
  return {
    value: counted.reduce((sum, attempt) => sum + Math.min(balls, attempt.balls), 0),
    unit: 'balls',
    better: 'high',
    maximum: trials * balls,
    complete: counted.length >= trials,
    censored: false,
  };
}
