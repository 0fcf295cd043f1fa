import type { RoundResult } from './result.ts';

export interface ZoneAttempt {
  readonly points: number;
}

export interface ZoneRoundSettings {
  readonly shots: number;
  /** Most points of one shot. */
  readonly perShot: number;
}

/** Zone points of all shots together. */
export function countZoneRound(
  attempts: readonly ZoneAttempt[],
  { shots, perShot }: ZoneRoundSettings,
): RoundResult {
  const counted = attempts.slice(0, shots);
  return {
    value: counted.reduce((sum, attempt) => sum + attempt.points, 0),
    unit: 'points',
    better: 'high',
    maximum: shots * perShot,
    complete: counted.length >= shots,
    censored: false,
  };
}
