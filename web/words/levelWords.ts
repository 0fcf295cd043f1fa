import { LEVELS } from '../../core/player/levels.ts';

/** The level to which a rating is nearest: "team level"; or between two: "between regular and team". @param rating 0…100 */
export function levelWords(rating: number): string {
  const near = LEVELS.find((level) => Math.abs(level.rating - rating) <= NEAR);
  if (near !== undefined) return `${near.name} level`;
  const above = LEVELS.findIndex((level) => level.rating > rating);
  const [from, to] = [LEVELS[above - 1], LEVELS[above]];
  if (from === undefined)
    return above === 0 ? `before ${LEVELS[0]?.name ?? ''}` : `above ${LEVELS.at(-1)?.name ?? ''}`;
  return to === undefined ? `above ${from.name}` : `between ${from.name} and ${to.name}`;
}
/** Rating points within which somebody is said to be at a level. */
const NEAR = 4;
