import { distance, type Point } from '../math/point.ts';
import { spotsOf, type SpotName } from './markings.ts';
import type { TablePreset } from './preset.ts';

/** A ball's place as a coach measures it. Millimetres run from the nose to the middle of the ball. */
export interface MeasuredPlace {
  readonly short: { readonly cushion: 'head' | 'foot'; readonly mm: number };
  readonly long: { readonly cushion: 'right' | 'left'; readonly mm: number };
  /** Diamonds from the head end and from the right-hand side; pool tables only. */
  readonly diamonds?: { readonly along: number; readonly across: number };
  /** The spot on which the ball stands. */
  readonly spot?: SpotName;
}

/** A ball this close to a spot stands on it, metres: half a millimetre is what a hand can place. */
const ON_SPOT = 0.0005;

function toMm(metres: number): number {
  return Math.round(metres * 1000);
}

/**
 * Says where a ball stands: millimetres from the nearer short and the nearer long cushion, in diamonds on tables
 * with sights, and the spot if it is on one.
 * @param at the ball's centre, metres
 */
export function measurePlace(preset: TablePreset, at: Point): MeasuredPlace {
  const { length, width } = preset;
  const spot = spotsOf(preset).find((candidate) => distance(candidate.at, at) <= ON_SPOT);
  return {
    short:
      at.x <= length / 2 ? { cushion: 'head', mm: toMm(at.x) } : { cushion: 'foot', mm: toMm(length - at.x) },
    long:
      at.y <= width / 2 ? { cushion: 'right', mm: toMm(at.y) } : { cushion: 'left', mm: toMm(width - at.y) },
    ...(preset.sights ? { diamonds: { along: (8 * at.x) / length, across: (4 * at.y) / width } } : {}),
    ...(spot === undefined ? {} : { spot: spot.name }),
  };
}
