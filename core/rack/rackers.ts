import { toRadians } from '../math/angle.ts';

/** Who puts the rack together. */
export const RACKERS = ['tight', 'template', 'good hand', 'poor hand'] as const;
export type Racker = (typeof RACKERS)[number];

/** How far a rack strays from a perfect one. */
export interface RackQuality {
  /** Each pair of neighbours is apart by anything from nothing up to this, metres. */
  readonly gap: number;
  /** Standard deviations of the place, each way, metres, and of the turn, radians. */
  readonly offset: number;
  readonly tilt: number;
}

/**
 * Sizes by the racker; the product's own, after what a template and hands leave: a perfect rack, one from a thin template,
 * a triangle pushed up with care, and one that is not.
 */
export const RACK_QUALITIES: Readonly<Record<Racker, RackQuality>> = {
  tight: { gap: 0, offset: 0, tilt: 0 },
  template: { gap: 0.05e-3, offset: 0.3e-3, tilt: toRadians(0.1) },
  'good hand': { gap: 0.2e-3, offset: 1e-3, tilt: toRadians(0.3) },
  'poor hand': { gap: 0.5e-3, offset: 2e-3, tilt: toRadians(0.8) },
};
