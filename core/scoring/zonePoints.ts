import type { Point } from '../math/point.ts';
import { chanceAt, type PositionWindow } from '../planning/window.ts';
import type { Band } from '../records/drill.ts';
import type { Outcome } from '../records/round.ts';

/** The points that a chance of the next pot earns: those of the highest band it reaches, else none. */
export function pointsForChance(chance: number, bands: readonly Band[]): number {
  return bands.reduce((points, band) => (chance >= band.chance ? Math.max(points, band.points) : points), 0);
}

/**
 * Zone points of one shot: by the band of the window in which the cue ball rests; none when the pot was missed
 * or the cue ball lost.
 * @param landing where the cue ball stopped, metres; required after a pot, without it the shot earns nothing
 */
export function zonePoints(
  outcome: Outcome,
  landing: Point | null,
  window: PositionWindow,
  bands: readonly Band[],
): number {
  if (outcome !== 'potted' || landing === null) return 0;
  return pointsForChance(chanceAt(window, landing), bands);
}

/** Most points that one shot can earn. */
export function mostPoints(bands: readonly Band[]): number {
  return Math.max(0, ...bands.map((band) => band.points));
}
