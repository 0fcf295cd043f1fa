import type { Point } from '../../math/point.ts';
import type { KickPosition } from './way.ts';

/** A place on the nose of a cushion at which the cue points. */
export interface AimPoint {
  readonly at: Point;
  /** The side of the table. */
  readonly cushion: string;
  /** Along that side: from the head end on a long one, from the right-hand side on a short one; metres, and as a share. */
  readonly along: number;
  readonly share: number;
}

/**
 * Where a straight line from the cue ball's middle comes to the noses of the cushions, pockets left out of account.
 * @param direction radians @throws RangeError without the cue ball
 */
export function aimPointOf({ table, balls, cue }: KickPosition, direction: number): AimPoint {
  const from = balls.find(({ id }) => id === cue);
  if (from === undefined) throw new RangeError(`aimPointOf: there is no ball ${cue}`);
  const [ux, uy] = [Math.cos(direction), Math.sin(direction)];
  const { length, width } = table;
  const along = (u: number, gap: number) => (gap / u > 0 ? gap / u : Infinity);
  const toLong = uy === 0 ? Infinity : along(uy, (uy > 0 ? width : 0) - from.y);
  const toShort = ux === 0 ? Infinity : along(ux, (ux > 0 ? length : 0) - from.x);
  const reach = Math.min(toLong, toShort);
  const at = { x: from.x + reach * ux, y: from.y + reach * uy };
  if (toLong <= toShort) {
    return {
      at: { x: at.x, y: uy > 0 ? width : 0 },
      cushion: uy > 0 ? 'left' : 'right',
      along: at.x,
      share: at.x / length,
    };
  }
  return {
    at: { x: ux > 0 ? length : 0, y: at.y },
    cushion: ux > 0 ? 'foot' : 'head',
    along: at.y,
    share: at.y / width,
  };
}
