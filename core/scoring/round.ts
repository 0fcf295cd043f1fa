import type { Attempt } from '../records/round.ts';

/** The result of a round by any method. */
export interface RoundResult {
  readonly value: number;
  readonly unit: 'points';
  readonly better: 'high';
  /** Most that the whole round could give. */
  readonly maximum: number;
  /** All its shots were played. */
  readonly complete: boolean;
}

/**
 * The result of a zone-points round.
 * @param shots how many the round has
 * @param perShot most points of one shot
 */
export function zonePointsResult(
  attempts: readonly Pick<Attempt, 'points'>[],
  shots: number,
  perShot: number,
): RoundResult {
  return {
    value: attempts.reduce((sum, attempt) => sum + attempt.points, 0),
    unit: 'points',
    better: 'high',
    maximum: shots * perShot,
    complete: attempts.length >= shots,
  };
}
