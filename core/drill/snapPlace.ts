import { toDegrees } from '../math/angle.ts';
import { bearing, distance, type Point } from '../math/point.ts';
import { contactDistance } from '../motion/ballBall.ts';
import { noseDistance } from '../motion/noseDistance.ts';
import type { BallOnTable } from '../motion/shot.ts';
import type { PlaceText } from '../records/drill.ts';
import { spotsOf } from '../table/markings.ts';
import type { TablePreset } from '../table/preset.ts';

/** A ball dropped this near to something to which it can belong is put there, metres. */
const NEAR = 0.014;
/** Diamonds are snapped to in quarters. */
const PARTS = 4;
/** A share of the table is written to this many parts: a third of a millimetre on the longest table. */
const SHARE_PARTS = 10_000;

const rounded = (value: number, parts: number) => Math.round(value * parts) / parts;

/** A place as shares of the table, so that the drill can be set on tables of other sizes. */
export function sharePlace({ x, y }: Point, { length, width }: TablePreset): PlaceText {
  return { share: { along: rounded(x / length, SHARE_PARTS), across: rounded(y / width, SHARE_PARTS) } };
}

function frozenPlace(at: Point, preset: TablePreset, reach: number): PlaceText | undefined {
  const { length, width } = preset;
  const along = rounded(at.x / length, SHARE_PARTS);
  const across = rounded(at.y / width, SHARE_PARTS);
  if (at.x <= reach + NEAR) return { frozen: 'head', at: across };
  if (at.x >= length - reach - NEAR) return { frozen: 'foot', at: across };
  if (at.y <= reach + NEAR) return { frozen: 'right', at: along };
  if (at.y >= width - reach - NEAR) return { frozen: 'left', at: along };
  return undefined;
}

function diamondsPlace(at: Point, { length, width, sights }: TablePreset): PlaceText | undefined {
  if (!sights) return undefined;
  const along = rounded((8 * at.x) / length, PARTS);
  const across = rounded((4 * at.y) / width, PARTS);
  const off = distance(at, { x: (along * length) / 8, y: (across * width) / 4 });
  return off <= NEAR ? { diamonds: { along, across } } : undefined;
}

/**
 * What a place that was pointed at is meant to be: frozen to a cushion, against another ball, on a spot, at a quarter
 * diamond, whichever is near, in this order; else a share of the table.
 * @param wanted centre of the ball, metres, on the cloth
 * @param radius of the ball, metres
 * @param before balls that the drill places earlier: only against one of these can it lie
 */
export function snapPlace(
  wanted: Point,
  preset: TablePreset,
  radius: number,
  before: readonly BallOnTable[],
): PlaceText {
  const frozen = frozenPlace(wanted, preset, noseDistance(radius, preset.parameters.noseHeight));
  if (frozen !== undefined) return frozen;
  const touching = before.find(
    (other) => Math.abs(distance(other, wanted) - contactDistance(radius, other.radius)) <= NEAR / 2,
  );
  if (touching !== undefined) {
    const towardsDeg = rounded(toDegrees(bearing(touching, wanted)), 10);
    return { beside: touching.id, towardsDeg, gapMm: 0 };
  }
  const spot = spotsOf(preset).find(({ at }) => distance(at, wanted) <= NEAR);
  if (spot !== undefined) return { spot: spot.name };
  return diamondsPlace(wanted, preset) ?? sharePlace(wanted, preset);
}
