import type { Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { Drill, PlaceText } from '../records/drill.ts';
import { spotsOf } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

/**
 * The place that a drill's text names, on a table, metres.
 * @throws RangeError for diamonds on a table without sights, or a spot that the table does not have
 */
export function resolvePlace(place: PlaceText, preset: TablePreset): Point {
  if ('diamonds' in place) {
    if (!preset.sights) throw new RangeError(`resolvePlace: ${preset.name} has no diamonds`);
    const { along, across } = place.diamonds;
    return { x: (along * preset.length) / 8, y: (across * preset.width) / 4 };
  }
  if ('spot' in place) {
    const spot = spotsOf(preset).find((candidate) => candidate.name === place.spot);
    if (spot === undefined) throw new RangeError(`resolvePlace: ${preset.name} has no ${place.spot} spot`);
    return spot.at;
  }
  return { x: place.x, y: place.y };
}

/** The id of the cue ball in every drill. */
export const CUE_BALL = 'cue';

/** The drill's balls on a table, in the order of its text. */
export function layOut(drill: Drill, preset: TablePreset): readonly BallOnTable[] {
  return drill.balls.map(({ id, at }) => ({
    id,
    ...resolvePlace(at, preset),
    radius: id === CUE_BALL ? preset.cueBallRadius : preset.ballRadius,
    mass: id === CUE_BALL ? preset.cueBallMass : preset.ballMass,
  }));
}
