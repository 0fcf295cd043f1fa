import type { RoundResult } from './result.ts';
import type { ClearAttempt } from './attemptsToClear.ts';

export interface LadderBySingleSettings {
  /** Ball counts: at which the round starts, below which it never falls, at which it ends. */
  readonly start: number;
  readonly lowest: number;
  readonly top: number;
  readonly onMiss: 'down one' | 'back to start';
  readonly attempts: number;
}

export interface SingleLadderTally extends RoundResult {
  /** Balls of the next attempt. */
  readonly balls: number;
}

/**
 * A clear adds a ball; a miss takes one away, or goes back to the start. The value is the largest layout cleared, 0
 * for none; the round is over when the top is cleared or the attempts are played.
 */
export function countLadderBySingle(
  attempts: readonly ClearAttempt[],
  { start, lowest, top, onMiss, attempts: most }: LadderBySingleSettings,
): SingleLadderTally {
  let balls = start;
  let best = 0;
  let done = 0;
  for (const { cleared } of attempts) {
    if (done >= most || best >= top) break;
    done++;
    if (cleared) {
      best = Math.max(best, balls);
      balls = Math.min(top, balls + 1);
    } else {
      balls = onMiss === 'down one' ? Math.max(lowest, balls - 1) : start;
    }
  }
  return {
    value: best,
    unit: 'rung',
    better: 'high',
    maximum: top,
    complete: best >= top || done >= most,
    censored: false,
    balls,
  };
}
