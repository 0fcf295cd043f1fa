import type { Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import type { ExecutionError } from './levels.ts';

/** How the landing of a stroke answers to each error, to first order: metres in x and y for a whole unit of each. */
export interface LandingResponse {
  /** Per radian of direction. */
  readonly direction: readonly [number, number];
  /** Per share of speed. */
  readonly speed: readonly [number, number];
  /** Per ball radius of side and of height. */
  readonly side: readonly [number, number];
  readonly height: readonly [number, number];
}

/** One shot of a player whose planned stroke is known. */
export interface ObservedShot {
  readonly potted: boolean;
  /** The chance of the pot for a standard deviation of the direction, radians. */
  readonly chance: (errorRad: number) => number;
  /** Of a potted shot with a landing mark: how far off the plan, metres, and the stroke's response. */
  readonly landing?: { readonly dx: number; readonly dy: number; readonly response: LandingResponse };
}

export interface FittedExecution {
  readonly error: ExecutionError;
  /** Shots that told about the direction, and landings that told about pace and tip. */
  readonly shots: number;
  readonly landings: number;
}

/** Small changes from which the response is taken: radians, share, ball radii. */
const NUDGE = { direction: 2e-4, speed: 0.01, tip: 0.01 };
/** What a landing mark made by finger or eye is off, metres. */
const MARK_ERROR = 0.015;
/** How far a player's errors may lie from the level that is assumed without data: standard deviation of the logarithm. */
const PRIOR = 0.6;
/** Factors on the assumed errors that are tried. */
const FACTORS = Array.from({ length: 61 }, (_, i) => Math.exp((i - 30) * 0.06));
/** Share of landings that come from another hit than was planned, and how thinly those are strewn, per square metre. */
const STRAY = 0.08;
const STRAY_DENSITY = 0.3;
/** A chance is never taken as surer than this: marks can be wrong. */
const SUREST = 0.995;
/** Standard deviation of an even spread over the unit interval. */
const EVEN = 1 / Math.sqrt(3);

/** How the landing of a planned stroke answers to small errors; by playing it a little off to both sides. */
export function landingResponse(shot: Shot): LandingResponse {
  const { strike } = shot;
  const land = (change: Partial<typeof strike>) => {
    const at = simulate({ ...shot, strike: { ...strike, ...change } }, { events: false }).rest.find(
      ({ id }) => id === strike.ball,
    );
    return at ?? { x: 0, y: 0 };
  };
  const slope = (by: number, change: (by: number) => Partial<typeof strike>): readonly [number, number] => {
    const [more, less] = [land(change(by)), land(change(-by))];
    return [(more.x - less.x) / (2 * by), (more.y - less.y) / (2 * by)];
  };
  return {
    direction: slope(NUDGE.direction, (by) => ({ direction: strike.direction + by })),
    speed: slope(NUDGE.speed, (by) => ({ speed: strike.speed * (1 + by) })),
    side: slope(NUDGE.tip, (by) => ({ tip: { ...strike.tip, side: strike.tip.side + by } })),
    height: slope(NUDGE.tip, (by) => ({ tip: { ...strike.tip, height: strike.tip.height + by } })),
  };
}

function priorOf(factor: number): number {
  return -0.5 * (Math.log(factor) / PRIOR) ** 2;
}

function bestFactor(likelihood: (factor: number) => number): number {
  let best = { factor: 1, value: -Infinity };
  for (const factor of FACTORS) {
    const value = likelihood(factor) + priorOf(factor);
    if (value > best.value) best = { factor, value };
  }
  return best.factor;
}

/** Logarithm of the density of a landing under normal errors through its response, or astray. */
function logDensity(
  { dx, dy, response }: NonNullable<ObservedShot['landing']>,
  sizes: { readonly direction: number; readonly speed: number; readonly tip: number },
): number {
  let [xx, xy, yy] = [MARK_ERROR ** 2, 0, MARK_ERROR ** 2];
  const add = ([x, y]: readonly [number, number], size: number) => {
    xx += size * size * x * x;
    xy += size * size * x * y;
    yy += size * size * y * y;
  };
  add(response.direction, sizes.direction);
  add(response.speed, sizes.speed);
  add(response.side, sizes.tip);
  add(response.height, sizes.tip);
  const det = xx * yy - xy * xy;
  const density =
    Math.exp(-0.5 * ((yy * dx * dx - 2 * xy * dx * dy + xx * dy * dy) / det)) /
    (2 * Math.PI * Math.sqrt(det));
  return Math.log((1 - STRAY) * density + STRAY * STRAY_DENSITY);
}

/** The largest error of direction that still pots, radians: where the chance of a player with it is an even one. */
function potMargin(chance: (errorRad: number) => number): number {
  let [low, high] = [1e-5, 0.1];
  while (high - low > 1e-5) {
    const middle = 0.5 * (low + high);
    // Within ± margin falls 68 % of what a player with that standard deviation sends.
    if (chance(middle) > 0.6827) low = middle;
    else high = middle;
  }
  return low;
}

/**
 * Fits the sizes of a player's errors: direction from pots and misses, pace and tip from where the cue ball stopped
 * after pots, both by greatest likelihood with a weak pull towards an assumed level (lognormal, so that a handful of
 * shots moves it little). Misses tell nothing of pace and tip: after them something else was hit.
 * @param assumed the errors of the level that is assumed without data
 */
export function fitExecution(shots: readonly ObservedShot[], assumed: ExecutionError): FittedExecution {
  const assumedRad = (assumed.directionDeg * Math.PI) / 180;
  const direction = bestFactor((factor) =>
    shots.reduce((sum, { potted, chance }) => {
      const p = Math.min(SUREST, Math.max(1 - SUREST, chance(assumedRad * factor)));
      return sum + Math.log(potted ? p : 1 - p);
    }, 0),
  );
  const landings = shots.flatMap(({ potted, landing, chance }) =>
    potted && landing !== undefined ? [{ landing, margin: potMargin(chance) }] : [],
  );
  let [speed, tip] = [1, 1];
  // Two sizes, each fitted while the other stands; four turns bring them to rest.
  for (let turn = 0; turn < 4; turn++) {
    const likelihood = (speedFactor: number, tipFactor: number) =>
      landings.reduce(
        (sum, { landing, margin }) =>
          sum +
          logDensity(landing, {
            direction: Math.min(assumedRad * direction, margin * EVEN),
            speed: assumed.speed * speedFactor,
            tip: assumed.tip * tipFactor,
          }),
        0,
      );
    speed = bestFactor((factor) => likelihood(factor, tip));
    tip = bestFactor((factor) => likelihood(speed, factor));
  }
  return {
    error: {
      directionDeg: assumed.directionDeg * direction,
      speed: assumed.speed * speed,
      tip: assumed.tip * tip,
      elevationDeg: assumed.elevationDeg,
    },
    shots: shots.length,
    landings: landings.length,
  };
}
