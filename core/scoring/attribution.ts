import { toRadians } from '../math/angle.ts';
import { distance, type Point } from '../math/point.ts';
import type { Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import type { PotTask } from '../planning/cloud.ts';
import { errorAsCued } from '../player/asCued.ts';
import { drawErrors, executedWith, type Draws } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import type { Cause } from '../records/cause.ts';
import { isOnTable, outcomeOfShot } from '../shot/outcome.ts';

/** What of a stroke can be off, and be told. */
export const STROKE_ERRORS = ['pace', 'line', 'side', 'height'] as const;
export type StrokeError = (typeof STROKE_ERRORS)[number];

/** Where a planned stroke ends with all of a player's errors at once, and which of them did most of it. */
interface ErringStroke {
  readonly at: Point;
  readonly potted: boolean;
  /** The error that did most; undefined for the butt, of which nobody is told. */
  readonly because: StrokeError | undefined;
  /** How far that one was off, standard deviations. */
  readonly z: number;
}

/** How a planned stroke answers to a player's errors: many executions of it. */
export interface StrokeCloud {
  readonly shot: Shot;
  readonly object: string;
  readonly sizes: ExecutionError;
  readonly planned: Point;
  readonly strokes: readonly ErringStroke[];
}

/** The error that did most of a stroke. */
export interface ToldError {
  readonly kind: 'told';
  readonly error: StrokeError;
  readonly cause: Cause;
  /** How much, signed: share of the pace, ball radii of side or height; of the line degrees, of a kick's metres at its cushion. */
  readonly amount: number;
  /** Probability of this cause among all, 0…1. */
  readonly probability: number;
}

/** Why a shot ended where it did. */
export type Attribution =
  /** So near to the plan that there is nothing to explain. */
  | { readonly kind: 'on plan' }
  | ToldError
  /** No error is likely enough to be the one, or nothing explains it. */
  | { readonly kind: 'cannot tell'; readonly between: readonly StrokeError[] };

/** Executions of a stroke. */
const STROKES = 3_000;
const SEED = 7331;
/** Errors are looked at alone in these steps, and as far as this, standard deviations. */
const STEP = 0.25;
const LARGEST = 4;
/** What ends as near as this to a landing says why it happened: more than a mark by finger or eye is off, metres. */
export const NEAR = 0.035;
/** So many executions have to end there. */
const LEAST_NEAR = 6;
/** Within this of the plan nothing is explained, metres. */
export const ON_PLAN = 0.03;
/** A cause is told from this probability on; below it those that may be it are named from that one on. */
const TOLD = 0.74;
const MAY_BE = 0.2;
/** A stroke that loses the cue ball went as far astray as this, metres. */
const LOST = 5;

export const ALL_ERRORS = [...STROKE_ERRORS, 'elevation'] as const;
type AnyError = (typeof ALL_ERRORS)[number];
const NONE: Draws = { line: 0, pace: 0, side: 0, height: 0, elevation: 0 };

interface End {
  readonly at: Point | undefined;
  readonly potted: boolean;
}

function endOf(shot: Shot, { object, pocket }: PotTask, sizes: ExecutionError, draws: Draws): End {
  const cue = shot.strike.ball;
  const { rest } = simulate(executedWith(shot, sizes, draws));
  const at = rest.find(({ id }) => id === cue);
  return {
    at: at !== undefined && isOnTable(at) ? { x: at.x, y: at.y } : undefined,
    potted: outcomeOfShot(rest, cue, { object, pocket }) === 'potted',
  };
}

/** What an error alone does to a stroke. */
interface LoneEffect {
  readonly error: AnyError;
  /** How far from the plan the cue ball ends, metres. */
  readonly away: number;
  /** Whether it alone misses. */
  readonly missed: boolean;
}

/**
 * Which error did most of a stroke: of a miss the one that alone would have missed, where there is just one; else the one
 * that alone moves the cue ball farthest from the plan.
 * @param effects of each error alone, at least one @param missed whether the stroke with all of them missed
 * @throws TypeError without an effect
 */
export function mostOf(effects: readonly LoneEffect[], missed: boolean): AnyError {
  const missing = missed ? effects.filter((effect) => effect.missed) : [];
  const most = effects.reduce((best, effect) => (effect.away > best.away ? effect : best));
  return (missing.length === 1 ? (missing[0] ?? most) : most).error;
}

/** What one error alone does, by its size. */
class Alone {
  readonly #ends: readonly (End & { readonly away: number })[];

  constructor(error: AnyError, shot: Shot, task: PotTask, sizes: ExecutionError, planned: Point) {
    this.#ends = Array.from({ length: (2 * LARGEST) / STEP + 1 }, (_, i) => {
      const end = endOf(shot, task, sizes, { ...NONE, [error]: -LARGEST + i * STEP });
      return { ...end, away: end.at === undefined ? LOST : distance(end.at, planned) };
    });
  }

  /** How far from the plan the cue ball ends, metres, and whether the ball still falls. @param z standard deviations */
  at(z: number): { readonly away: number; readonly potted: boolean } {
    const place = Math.min(this.#ends.length - 1, Math.max(0, (z + LARGEST) / STEP));
    const below = Math.min(this.#ends.length - 2, Math.floor(place));
    const [a, b] = [this.#ends[below]!, this.#ends[below + 1]!];
    const part = place - below;
    return { away: a.away + part * (b.away - a.away), potted: (part < 0.5 ? a : b).potted };
  }
}

/**
 * Plays a planned stroke often with all of a player's errors at once, and says of each which error did most of it: of a
 * miss the one error that alone would have missed, where there is just one; else the one that alone moves the cue ball
 * farthest from the plan.
 * @param error the player's, where nothing hampers the cue
 * @throws RangeError when the shot lacks the struck ball or the object ball
 */
export function strokeCloud(shot: Shot, task: PotTask, error: ExecutionError): StrokeCloud {
  const plan = simulate(shot).rest.find(({ id }) => id === shot.strike.ball);
  if (plan === undefined || !shot.balls.some(({ id }) => id === task.object)) {
    throw new RangeError(`strokeCloud: the shot has no ball ${shot.strike.ball} or ${task.object}`);
  }
  const sizes = errorAsCued(shot, error);
  const planned = { x: plan.x, y: plan.y };
  const alone = ALL_ERRORS.map((error) => ({ error, curve: new Alone(error, shot, task, sizes, planned) }));
  const random = createRandom(SEED);
  const strokes = Array.from({ length: STROKES }, (): ErringStroke | undefined => {
    const draws = drawErrors(random);
    const { at, potted } = endOf(shot, task, sizes, draws);
    if (at === undefined) return undefined;
    const effects = alone.map(({ error, curve }) => {
      const { away, potted: falls } = curve.at(draws[error]);
      return { error, away, missed: !falls };
    });
    const error = mostOf(effects, !potted);
    return { at, potted, because: error === 'elevation' ? undefined : error, z: draws[error] };
  });
  return {
    shot,
    object: task.object,
    sizes,
    planned,
    strokes: strokes.filter((stroke) => stroke !== undefined),
  };
}

/** The distance by which the aimed line passes the middle of the object ball, metres, to its left positive. */
function offsetOf({ shot, object }: StrokeCloud, direction: number): number {
  const cue = shot.balls.find(({ id }) => id === shot.strike.ball);
  const ball = shot.balls.find(({ id }) => id === object);
  if (cue === undefined || ball === undefined) return 0;
  return Math.cos(direction) * (ball.y - cue.y) - Math.sin(direction) * (ball.x - cue.x);
}

function causeOf(curves: StrokeCloud, error: StrokeError, z: number): Cause {
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
 * Which error did most of a landing: Bayes by the executions of the stroke, with all errors at once, that ended there and
 * potted or missed as it happened. A cause is told when three in four of them have it.
 * @param landing where the cue ball stopped, metres
 */
export function attribute(cloud: StrokeCloud, landing: Point, potted: boolean): Attribution {
  if (potted && distance(landing, cloud.planned) <= ON_PLAN) return { kind: 'on plan' };
  const sums = new Map<StrokeError, { weight: number; z: number }>();
  let whole = 0;
  for (const stroke of cloud.strokes) {
    if (stroke.potted !== potted) continue;
    const off = distance(stroke.at, landing) / NEAR;
    if (off > 3) continue;
    const weight = Math.exp(-0.5 * off * off);
    whole += weight;
    if (stroke.because === undefined) continue;
    const sum = sums.get(stroke.because) ?? { weight: 0, z: 0 };
    sums.set(stroke.because, { weight: sum.weight + weight, z: sum.z + weight * stroke.z });
  }
  if (whole < LEAST_NEAR) return { kind: 'cannot tell', between: [] };
  const causes = [...sums].sort(([, a], [, b]) => b.weight - a.weight);
  const [first] = causes;
  if (first === undefined || first[1].weight < TOLD * whole) {
    const likely = causes.filter(([, { weight }]) => weight >= MAY_BE * whole);
    return { kind: 'cannot tell', between: likely.map(([error]) => error) };
  }
  const [error, { weight, z }] = first;
  return {
    kind: 'told',
    error,
    cause: causeOf(cloud, error, z / weight),
    amount: amountOf(cloud.sizes, error, z / weight),
    probability: weight / whole,
  };
}
