import type { RoundResult } from './result.ts';

export interface RestartAttempt {
  /** Balls made before the fault, or all of them. */
  readonly balls: number;
  readonly cleared: boolean;
}

export interface ClearOrRestartSettings {
  /** Ball counts of the layouts, growing. */
  readonly layouts: readonly number[];
  readonly attempts: number;
}

export interface RestartTally extends RoundResult {
  /** Which layout is next, from 0. */
  readonly layout: number;
  /** What was made before each reset, in order. */
  readonly beforeResets: readonly number[];
}

/** A clean clear counts and brings the larger layout; a fault sets the same one up again. */
export function countClearOrRestart(
  attempts: readonly RestartAttempt[],
  { layouts, attempts: most }: ClearOrRestartSettings,
): RestartTally {
  let clears = 0;
  let done = 0;
  const beforeResets: number[] = [];
  for (const { balls, cleared } of attempts) {
    if (done >= most || clears >= layouts.length) break;
    done++;
    if (cleared) clears++;
    else beforeResets.push(balls);
  }
  return {
    value: clears,
    unit: 'clears',
    better: 'high',
    maximum: layouts.length,
    complete: clears >= layouts.length || done >= most,
    censored: false,
    layout: Math.min(clears, layouts.length - 1),
    beforeResets,
  };
}
