import { contactDistance } from '../motion/ballBall.ts';
import { noseDistance } from '../motion/noseDistance.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { toRadians } from '../math/angle.ts';
import type { Point } from '../math/point.ts';
import type { Drill, PlaceText } from '../records/drill.ts';
import { spotsOf } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

/** The id of the cue ball in every drill. */
export const CUE_BALL = 'cue';

/** What the place of a ball may depend on besides the table: its size, and the balls placed before it. */
interface Placing {
  readonly radius: number;
  readonly placed: readonly BallOnTable[];
}

/**
 * The place that a drill's text names, on a table, metres.
 * @throws RangeError for diamonds on a table without sights, a spot that the table does not have, or a ball that
 *   is not placed yet
 */
export function resolvePlace(place: PlaceText, preset: TablePreset, { radius, placed }: Placing): Point {
  const { length, width } = preset;
  if ('diamonds' in place) {
    if (!preset.sights) throw new RangeError(`layOut: ${preset.name} has no diamonds`);
    const { along, across } = place.diamonds;
    return { x: (along * length) / 8, y: (across * width) / 4 };
  }
  if ('frozen' in place) {
    const reach = noseDistance(radius, preset.parameters.noseHeight);
    switch (place.frozen) {
      case 'head':
        return { x: reach, y: place.at * width };
      case 'foot':
        return { x: length - reach, y: place.at * width };
      case 'right':
        return { x: place.at * length, y: reach };
      case 'left':
        return { x: place.at * length, y: width - reach };
    }
  }
  if ('beside' in place) {
    const other = placed.find((ball) => ball.id === place.beside);
    if (other === undefined) throw new RangeError(`layOut: ball ${place.beside} must be placed before`);
    const apart = contactDistance(radius, other.radius) + place.gapMm / 1000;
    const towards = toRadians(place.towardsDeg);
    return { x: other.x + apart * Math.cos(towards), y: other.y + apart * Math.sin(towards) };
  }
  if (!('spot' in place) && !('share' in place)) return { x: place.x, y: place.y };
  const step = place.step ?? { along: 0, across: 0 };
  const ball = 2 * preset.ballRadius;
  const base =
    'spot' in place
      ? spotsOf(preset).find((candidate) => candidate.name === place.spot)?.at
      : { x: place.share.along * length, y: place.share.across * width };
  if (base === undefined) {
    throw new RangeError(`layOut: ${preset.name} has no such spot`);
  }
  return { x: base.x + step.along * ball, y: base.y + step.across * ball };
}

/** The ball of a drill's text on a table, among those that are placed before it. @throws RangeError as resolvePlace */
function placeOne(
  { id, at }: Drill['balls'][number],
  preset: TablePreset,
  placed: readonly BallOnTable[],
): BallOnTable {
  const cue = id === CUE_BALL;
  const radius = cue ? preset.cueBallRadius : preset.ballRadius;
  const mass = cue ? preset.cueBallMass : preset.ballMass;
  return { id, ...resolvePlace(at, preset, { radius, placed }), radius, mass };
}

/**
 * The drill's placed balls on a table, in the order of its text.
 * @throws RangeError when a place does not exist on this kind of table
 */
export function layOut(drill: Pick<Drill, 'balls'>, preset: TablePreset): readonly BallOnTable[] {
  const placed: BallOnTable[] = [];
  for (const ball of drill.balls) placed.push(placeOne(ball, preset, placed));
  return placed;
}

/** The balls of a draft that can be placed on a table: those whose place it does not have are left out. */
export function layOutWhatCan(drill: Pick<Drill, 'balls'>, preset: TablePreset): readonly BallOnTable[] {
  const placed: BallOnTable[] = [];
  for (const ball of drill.balls) {
    try {
      placed.push(placeOne(ball, preset, placed));
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
    }
  }
  return placed;
}
