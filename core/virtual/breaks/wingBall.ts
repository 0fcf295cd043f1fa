import type { RackKind } from '../../rack/rack.ts';
import type { ShotResult } from '../../motion/shot.ts';
import { sideOf } from '../../shot/kicks/hit.ts';

/** What became of a wing ball: it fell into the corner that it goes for, met the long or the foot cushion, or another ball. */
export const WING_ENDS = ['in', 'high', 'low', 'knocked away', 'short'] as const;
export type WingEnd = (typeof WING_ENDS)[number];

/** Until so long after the first hit balls touch as a rack does, seconds: no meeting of their own. */
const RACK_OPENS = 0.006;
/** A ball that falls meets the jaws at most so long before, seconds. */
const JAW = 0.25;

/** The places of the wing balls in a rack, to the right and to the left as the breaker sees it. */
export function wingPlaces(kind: RackKind): readonly [right: number, left: number] {
  return kind === 'nine' ? [3, 5] : [10, 14];
}

/**
 * How a wing ball ends, by what it meets first once the rack is open.
 * @param result with events @param id its id @param side on which side of the table its corner is
 */
export function wingEnd({ events }: ShotResult, id: string, side: 'left' | 'right'): WingEnd {
  const hit = events.find(({ kind }) => kind === 'ball-ball')?.t ?? 0;
  const fell = events.find((event) => event.kind === 'pocket' && event.id === id);
  const own = fell?.kind === 'pocket' && fell.pocket === `foot-${side}` ? fell.t : -Infinity;
  for (const event of events) {
    switch (event.kind) {
      case 'pocket':
        if (event.id === id) return event.pocket === `foot-${side}` ? 'in' : 'high';
        break;
      case 'ball-cushion':
        // The cushion's end, just before it falls, is the pocket's jaw.
        if (event.id === id && !(event.t >= own - JAW && event.t <= own)) {
          return sideOf(event.cushion) === 'foot' ? 'low' : 'high';
        }
        break;
      case 'ball-ball':
        if (event.t > hit + RACK_OPENS && event.ids.includes(id)) return 'knocked away';
        break;
      default:
        break;
    }
  }
  return 'short';
}
