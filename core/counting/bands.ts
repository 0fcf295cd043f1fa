/** A band of the window of the next ball: from this chance of the pot on, so many points. */
export interface Band {
  readonly chance: number;
  readonly points: number;
}

/** The points that a chance of the next pot earns: those of the highest band it reaches, else none. */
export function pointsForChance(chance: number, bands: readonly Band[]): number {
  return bands.reduce((points, band) => (chance >= band.chance ? Math.max(points, band.points) : points), 0);
}

/** Most points that one shot can earn. */
export function mostPoints(bands: readonly Band[]): number {
  return Math.max(0, ...bands.map((band) => band.points));
}
