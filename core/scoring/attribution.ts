import { isOnTable, outcomeOfShot } from '../shot/outcome.ts';
import { toRadians } from '../math/angle.ts';
import type { Point } from '../math/point.ts';
import type { Shot, ShotEvent, Strike } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { squirtTangent } from '../motion/strike.ts';
import type { PotTask } from '../planning/cloud.ts';
import type { Cause } from '../records/cause.ts';
import type { ExecutionError } from '../player/levels.ts';

/** What of a stroke can be off. */
export const STROKE_ERRORS = ['pace', 'line', 'side', 'height'] as const;
export type StrokeError = (typeof STROKE_ERRORS)[number];

/** Where a stroke ends whose one error grows, everything else as planned. */
export interface LandingCurve {
  readonly error: StrokeError;
  /** From the largest error one way to the largest the other way. */
  readonly stops: readonly {
    /** In standard deviations of the player's. */
    readonly z: number;
    readonly at: Point;
    readonly potted: boolean;
    /** Nothing else was met than in the plan. */
    readonly asPlanned: boolean;
    /** The cue ball stayed on the table, and the tip did not slip off it. */
    readonly played: boolean;
  }[];
}

/** How a planned stroke answers to a player's errors. */
export interface StrokeCurves {
  readonly shot: Shot;
  readonly object: string;
  readonly sizes: ExecutionError;
  readonly planned: Point;
  readonly curves: readonly LandingCurve[];
}

/** Why a shot ended where it did. */
export type Attribution =
  /** So near to the plan that there is nothing to explain. */
  | { readonly kind: 'on plan' }
  | {
      readonly kind: 'told';
      readonly error: StrokeError;
      readonly cause: Cause;
      /** How much: share of the pace, degrees of line, ball radii of side or height; signed. */
      readonly amount: number;
      /** Probability of this cause among all, 0…1. */
      readonly probability: number;
    }
  /** The first two are within a factor of two, or nothing explains it. */
  | { readonly kind: 'cannot tell'; readonly between: readonly StrokeError[] };

/** Errors that are looked at, in standard deviations, and how finely. */
const LARGEST = 5;
const STEP = 0.25;
/** Between two stops the curve is straight; it is summed at so many places. */
const BETWEEN = 5;
/** How the one large error is spread, and how much of the others is still there, standard deviations. */
const SPREAD = 2;
const OTHERS = 0.3;
/** What a mark made by finger or eye is off, metres. */
const MARK_ERROR = 0.015;
/** Share of landings that nothing explains, and how thinly those are strewn, per square metre. */
const STRAY = 0.05;
const STRAY_DENSITY = 0.4;
/** After another hit the landing is known this well between the strokes that were played, metres. */
const ELSEWHERE_BLUR = 0.06;
/** Within this of the plan nothing is explained, metres. */
const ON_PLAN = 0.03;
/** The first cause must be so many times as likely as the second. */
const CLEARLY = 2;

/** What the cue ball meets on its way, in order. */
function meetings(events: readonly ShotEvent[], cue: string): string {
  return events
    .flatMap((event) => {
      if (event.kind === 'ball-ball') return event.ids.includes(cue) ? [event.ids.join('+')] : [];
      return event.kind === 'ball-cushion' && event.id === cue ? [event.cushion] : [];
    })
    .join(' ');
}

/** The stroke with one error; the line is that on which the cue ball leaves, so that side keeps it. */
function off(shot: Shot, error: StrokeError, sizes: ExecutionError, z: number): Strike {
  const { strike, balls, table } = shot;
  const mass = balls.find(({ id }) => id === strike.ball)?.mass ?? 1;
  switch (error) {
    case 'pace':
      return { ...strike, speed: strike.speed * Math.max(0.05, 1 + sizes.speed * z) };
    case 'line':
      return { ...strike, direction: strike.direction + toRadians(sizes.directionDeg) * z };
    case 'side': {
      const side = strike.tip.side + sizes.tip * z;
      const squirt = (offset: number) => Math.atan(squirtTangent(offset, mass, table.parameters.endMass));
      const direction = strike.direction + squirt(strike.tip.side) - squirt(side);
      return { ...strike, tip: { ...strike.tip, side }, direction };
    }
    case 'height':
      return { ...strike, tip: { ...strike.tip, height: strike.tip.height + sizes.tip * z } };
  }
}

/** Past this offset of the tip from the middle, ball radii, the stroke is a miscue and tells nothing. */
const TIP_REACH = 0.5;

/**
 * Plays a planned stroke with each of its errors growing both ways.
 * @param sizes the player's errors; of the elevation nothing is asked
 * @throws RangeError when the shot lacks the struck ball or the object ball
 */
export function strokeCurves(shot: Shot, { object, pocket }: PotTask, sizes: ExecutionError): StrokeCurves {
  const cue = shot.strike.ball;
  const plan = simulate(shot);
  const planned = plan.rest.find(({ id }) => id === cue);
  if (planned === undefined || !shot.balls.some(({ id }) => id === object)) {
    throw new RangeError(`strokeCurves: the shot has no ball ${cue} or ${object}`);
  }
  const wanted = meetings(plan.events, cue);
  const count = Math.round((2 * LARGEST) / STEP) + 1;
  const curves = STROKE_ERRORS.map((error): LandingCurve => {
    const stops = Array.from({ length: count }, (_, i) => {
      const z = -LARGEST + i * STEP;
      const strike = off(shot, error, sizes, z);
      if (Math.hypot(strike.tip.side, strike.tip.height) > TIP_REACH) {
        return { z, at: planned, potted: false, asPlanned: false, played: false };
      }
      const { rest, events } = simulate({ ...shot, strike });
      const at = rest.find(({ id }) => id === cue);
      const played = at !== undefined && isOnTable(at);
      return {
        z,
        at: { x: at?.x ?? 0, y: at?.y ?? 0 },
        potted: outcomeOfShot(rest, cue, { object, pocket }) === 'potted',
        asPlanned: played && meetings(events, cue) === wanted,
        played,
      };
    });
    return { error, stops };
  });
  return { shot, object, sizes, planned: { x: planned.x, y: planned.y }, curves };
}

interface Spread {
  readonly xx: number;
  readonly xy: number;
  readonly yy: number;
}

/** How one error moves the landing near the plan, metres for a standard deviation. */
function slopeOf({ stops }: LandingCurve): Point {
  const middle = (stops.length - 1) / 2;
  const [less, more] = [stops[middle - 1], stops[middle + 1]];
  if (less === undefined || more === undefined || !less.asPlanned || !more.asPlanned) return { x: 0, y: 0 };
  return { x: (more.at.x - less.at.x) / (2 * STEP), y: (more.at.y - less.at.y) / (2 * STEP) };
}

/** What blurs a landing besides the one error that is asked about. */
function spreadWithout(curves: readonly LandingCurve[], error: StrokeError): Spread {
  let [xx, xy, yy] = [MARK_ERROR ** 2, 0, MARK_ERROR ** 2];
  for (const curve of curves) {
    if (curve.error === error) continue;
    const { x, y } = slopeOf(curve);
    xx += OTHERS ** 2 * x * x;
    xy += OTHERS ** 2 * x * y;
    yy += OTHERS ** 2 * y * y;
  }
  return { xx, xy, yy };
}

function density({ xx, xy, yy }: Spread, dx: number, dy: number): number {
  const det = xx * yy - xy * xy;
  return (
    Math.exp(-0.5 * ((yy * dx * dx - 2 * xy * dx * dy + xx * dy * dy) / det)) / (2 * Math.PI * Math.sqrt(det))
  );
}

/** The chance density of a landing by one error, and the error that it takes in the mean. */
function likelihood(
  curve: LandingCurve,
  spread: Spread,
  landing: Point,
  potted: boolean,
): { readonly density: number; readonly z: number } {
  let [sum, moment] = [0, 0];
  curve.stops.forEach((to, i) => {
    const from = curve.stops[i - 1];
    if (from === undefined || !from.asPlanned || !to.asPlanned) return;
    for (let k = 0; k < BETWEEN; k++) {
      const t = (k + 0.5) / BETWEEN;
      // The pot changes somewhere between: each half goes with its own stop.
      if ((t < 0.5 ? from : to).potted !== potted) continue;
      const z = from.z + t * (to.z - from.z);
      const dx = landing.x - (from.at.x + t * (to.at.x - from.at.x));
      const dy = landing.y - (from.at.y + t * (to.at.y - from.at.y));
      const weight =
        ((STEP / BETWEEN) * Math.exp(-0.5 * (z / SPREAD) ** 2) * density(spread, dx, dy)) /
        (SPREAD * Math.sqrt(2 * Math.PI));
      sum += weight;
      moment += weight * z;
    }
  });
  return { density: sum, z: sum === 0 ? 0 : moment / sum };
}

/** The chance density of a landing by strokes that met something else: those explain it, but do not say by which error. */
function elsewhere(curves: readonly LandingCurve[], landing: Point, potted: boolean): number {
  const spread = { xx: ELSEWHERE_BLUR ** 2, xy: 0, yy: ELSEWHERE_BLUR ** 2 };
  let sum = 0;
  for (const { stops } of curves) {
    for (const stop of stops) {
      if (stop.asPlanned || !stop.played || stop.potted !== potted) continue;
      const weight = (STEP * Math.exp(-0.5 * (stop.z / SPREAD) ** 2)) / (SPREAD * Math.sqrt(2 * Math.PI));
      sum += weight * density(spread, landing.x - stop.at.x, landing.y - stop.at.y);
    }
  }
  return sum;
}

/** The distance by which the aimed line passes the middle of the object ball, metres, to its left positive. */
function offsetOf({ shot, object }: StrokeCurves, direction: number): number {
  const cue = shot.balls.find(({ id }) => id === shot.strike.ball);
  const ball = shot.balls.find(({ id }) => id === object);
  if (cue === undefined || ball === undefined) return 0;
  return Math.cos(direction) * (ball.y - cue.y) - Math.sin(direction) * (ball.x - cue.x);
}

function causeOf(curves: StrokeCurves, error: StrokeError, z: number): Cause {
  const { strike } = curves.shot;
  switch (error) {
    case 'pace':
      return z > 0 ? 'too hard' : 'too soft';
    case 'height':
      return z > 0 ? 'too high' : 'too low';
    case 'side':
      return strike.tip.side === 0 || z * strike.tip.side > 0 ? 'too much side' : 'too little side';
    case 'line': {
      const before = Math.abs(offsetOf(curves, strike.direction));
      const after = Math.abs(offsetOf(curves, strike.direction + toRadians(curves.sizes.directionDeg) * z));
      return after < before ? 'thick' : 'thin';
    }
  }
}

function amountOf(sizes: ExecutionError, error: StrokeError, z: number): number {
  if (error === 'pace') return sizes.speed * z;
  return (error === 'line' ? sizes.directionDeg : sizes.tip) * z;
}

/**
 * Which one error explains a landing best: Bayes over the four, each with its own curve, blurred by the mark and by what
 * is left of the other errors. Only along strokes that meet what was planned, and that pot or miss as it happened.
 * @param landing where the cue ball stopped, metres
 */
export function attribute(curves: StrokeCurves, landing: Point, potted: boolean): Attribution {
  const away = Math.hypot(landing.x - curves.planned.x, landing.y - curves.planned.y);
  if (potted && away <= ON_PLAN) return { kind: 'on plan' };
  const told = curves.curves
    .map((curve) => ({
      error: curve.error,
      ...likelihood(curve, spreadWithout(curves.curves, curve.error), landing, potted),
    }))
    .sort((a, b) => b.density - a.density);
  const weight = (1 - STRAY) / STROKE_ERRORS.length;
  const stray = STRAY * STRAY_DENSITY;
  const whole = told.reduce((sum, each) => sum + weight * each.density, stray);
  const [first, second] = told;
  const other = elsewhere(curves.curves, landing, potted);
  if (first === undefined || second === undefined || weight * first.density < CLEARLY * stray) {
    return { kind: 'cannot tell', between: [] };
  }
  if (first.density < CLEARLY * other) return { kind: 'cannot tell', between: [] };
  if (first.density < CLEARLY * second.density) {
    return { kind: 'cannot tell', between: [first.error, second.error] };
  }
  return {
    kind: 'told',
    error: first.error,
    cause: causeOf(curves, first.error, first.z),
    amount: amountOf(curves.sizes, first.error, first.z),
    probability: (weight * first.density) / whole,
  };
}
