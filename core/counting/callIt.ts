import type { RoundResult } from './result.ts';

/** The answer where the margin is smaller than the error: calling it so is right, and nothing else is. */
export const TOO_CLOSE = 'too close';

export interface CallAttempt {
  readonly called: string;
  readonly computed: string;
  /** What happened when it was played; null when it was not. */
  readonly played: string | null;
}

export interface CallItSettings {
  readonly positions: number;
}

export interface CallItTally extends RoundResult {
  /** Of those that were played: calls that came true, and how many there were. */
  readonly cameTrue: number;
  readonly played: number;
}

/** Calls that agree with what was computed; beside it those that agree with what was played. */
export function countCalls(attempts: readonly CallAttempt[], { positions }: CallItSettings): CallItTally {
  const counted = attempts.slice(0, positions);
  const played = counted.filter((attempt) => attempt.played !== null);
  return {
    value: counted.filter((attempt) => attempt.called === attempt.computed).length,
    unit: 'calls',
    better: 'high',
    maximum: positions,
    complete: counted.length >= positions,
    censored: false,
    cameTrue: played.filter((attempt) => attempt.called === attempt.played).length,
    played: played.length,
  };
}
