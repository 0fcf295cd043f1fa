import type { BallOnTable } from '../motion/shot.ts';
import { spotsOf } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

/** The six colours of a snooker table, from the lowest up. */
export const COLOURS = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'] as const;

/** The colours on their spots, as they stand at a break-off. @throws RangeError for a table without these spots */
export function coloursOnSpots(preset: TablePreset): readonly BallOnTable[] {
  const spots = spotsOf(preset);
  return COLOURS.map((id) => {
    const spot = spots.find(({ name }) => name === id);
    if (spot === undefined) throw new RangeError(`coloursOnSpots: ${preset.name} has no ${id} spot`);
    return { id, ...spot.at, radius: preset.ballRadius, mass: preset.ballMass };
  });
}
