import type { Point } from '../math/point.ts';
import { chanceAt, type PositionWindow } from '../planning/grid.ts';
import { pointsForChance, type Band } from '../counting/bands.ts';
import type { ShotOutcome } from '../shot/outcome.ts';

/**
 * Zone points of one shot: by the band of the window in which the cue ball rests; none when the pot was missed
 * or the cue ball lost.
 * @param landing where the cue ball stopped, metres; required after a pot, without it the shot earns nothing
 */
export function zonePoints(
  outcome: ShotOutcome,
  landing: Point | null,
  window: PositionWindow,
  bands: readonly Band[],
): number {
  if (outcome !== 'potted' || landing === null) return 0;
  return pointsForChance(chanceAt(window, landing), bands);
}
