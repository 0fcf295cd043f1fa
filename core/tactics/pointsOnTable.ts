import { ballValue } from '../counting/breakPoints.ts';

/** Points that are still to be had: a red with a black each, and the colours. @param objects ids of the balls on the table @throws RangeError for a ball of another game */
export function pointsOnTable(objects: readonly string[]): number {
  const reds = objects.filter((id) => id.startsWith('red')).length;
  const colours = objects.filter((id) => !id.startsWith('red'));
  const highest = Math.max(0, ...colours.map(ballValue));
  return reds * (ballValue('red') + highest) + colours.reduce((sum, id) => sum + ballValue(id), 0);
}
