import { wrapAngle } from '../../math/angle.ts';
import type { Table } from '../../table/table.ts';
import { leastSpeedOf, type Acceptance, type AcceptanceBend } from '../acceptance.ts';
import { passedLeft, playImpact, type Impact } from './impact.ts';

/** Beyond this logarithm of its speed nothing more is known of how an acceptance moves. */
const MOST_FASTER = 0.6;
const UNBENT: AcceptanceBend = {
  lowSlower: 0,
  highSlower: 0,
  lowFaster: 0,
  highFaster: 0,
  lowBySpin: 0,
  highBySpin: 0,
};

/** The stroke that is looked at: changed, looked at, and put back. */
export const impact: Impact = { speed: 1, side: 0, height: 0, elevation: 0, direction: 0, sent: 0, spin: 0 };

/** The pot that is looked at, as seen along the line of centres: kept here, so that no place makes functions of its own. */
export const pot = { low: 0, high: 0, speed: 1, least: 0, bend: UNBENT };

/**
 * Sets the pot that is looked at from now on.
 * @param acceptance directions in radians, least speed in m/s @param toObject direction of the line of centres, radians
 */
export function setPot(acceptance: Acceptance, toObject: number): void {
  const { low, high, middle, speed, bend } = acceptance;
  const wanted = wrapAngle(middle - toObject);
  pot.low = wanted + (low - middle);
  pot.high = wanted + (high - middle);
  pot.bend = bend ?? UNBENT;
  pot.speed = speed;
  pot.least = Math.max(0.02, leastSpeedOf(speed));
}

/** An edge of what falls. */
export type Bound = 'low' | 'high';

/** How far inside both bounds a stroke sends the object ball, radians: `low` and `high` as `margin` says. */
export const inside = { low: 0, high: 0 };

/** How far inside its bounds the object ball is sent, radians; negative for a miss. */
export function lookInside(table: Table, off: number): void {
  if (!playImpact(table, impact, off)) {
    // Past the ball on its left is beyond the low edge of what falls, past it on its right beyond the high one.
    inside.low = passedLeft() ? -Math.PI : Math.PI;
    inside.high = -inside.low;
    return;
  }
  const { direction, sent, spin } = impact;
  const { bend } = pot;
  const faster = Math.min(MOST_FASTER, Math.max(-MOST_FASTER, Math.log(sent / pot.speed)));
  inside.low =
    wrapAngle(direction - pot.low) -
    (faster < 0 ? bend.lowSlower : bend.lowFaster) * faster -
    bend.lowBySpin * spin;
  inside.high =
    wrapAngle(pot.high - direction) +
    (faster < 0 ? bend.highSlower : bend.highFaster) * faster +
    bend.highBySpin * spin;
}

/** How far inside one bound, radians. */
export function margin(table: Table, off: number, bound: Bound): number {
  lookInside(table, off);
  return bound === 'low' ? inside.low : inside.high;
}
