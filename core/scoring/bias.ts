import { mean, median } from '../statistics/summary.ts';

/** A landing's error against the plan, metres: along the cue ball's way (+ long) and across it (+ left). */
export interface LandingError {
  readonly along: number;
  readonly across: number;
}

export interface LandingBias {
  readonly along: number;
  readonly across: number;
  /** Half of the landings lie within this distance of the planned one, metres. */
  readonly medianDistance: number;
}

/** The mean error of some landings and their typical distance. @throws RangeError for no landings */
export function landingBias(errors: readonly LandingError[]): LandingBias {
  return {
    along: mean(errors.map((error) => error.along)),
    across: mean(errors.map((error) => error.across)),
    medianDistance: median(errors.map((error) => Math.hypot(error.along, error.across))),
  };
}
