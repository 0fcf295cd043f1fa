import { bearing, distance, type Point } from '../math/point.ts';
import type { Seen } from './frame.ts';
import type { Table } from '../table/table.ts';

/** Where a ball was seen, and where it was seen before that. */
export interface Sighting extends Seen {
  readonly before?: Point | undefined;
  readonly since?: number | undefined;
}

/** A ball that falls was last seen no further from the mouth than this, metres: a frame's way of a fast one. */
const NEAREST = 0.3;
/** Its line passes so near to the middle of the mouth, metres: half a wide one. */
const MOUTH = 0.07;
/** Rolling friction of a slow cloth: a ball that comes there on it comes there on any. */
const SLOWING = 0.015 * 9.81;

/**
 * Whether a ball that is not seen any more was on its way into a pocket, fast enough to come there: a rolling ball stops after
 * v²/2a, with a the rolling friction times g.
 * @param sighting the last two places of it, metres, and their times, seconds
 */
export function hasFallen({ at, time, before, since }: Sighting, table: Table): boolean {
  if (before === undefined || since === undefined) return false;
  const way = distance(before, at);
  const speed = way / (time - since);
  const direction = bearing(before, at);
  return table.pockets.some(({ mouth }) => {
    const left = distance(at, mouth);
    if (left > NEAREST) return false;
    const off = left * Math.sin(bearing(at, mouth) - direction);
    const isTowards = Math.cos(bearing(at, mouth) - direction) > 0;
    return (left < MOUTH || (isTowards && Math.abs(off) < MOUTH)) && speed ** 2 > 2 * SLOWING * left;
  });
}
