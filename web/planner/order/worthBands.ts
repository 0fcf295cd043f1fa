import type { PositionWindow } from '../../../core/planning/grid.ts';

/** Shares of the best chance of clearing at which its map is contoured. */
const SHARES = [0.75, 0.88, 0.96];

/** Contours of a map of what places are worth, by its best one; whole percents, each once. */
export function worthBands({ chances }: PositionWindow) {
  const best = chances.reduce((most, value) => Math.max(most, value), 0);
  return SHARES.map((share, i) => ({ chance: Math.round(100 * share * best) / 100, points: i + 1 }));
}
