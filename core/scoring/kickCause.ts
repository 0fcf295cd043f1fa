import type { ContactGrade } from '../counting/gradedContact.ts';
import { gradeOfHit } from '../counting/gradeOfHit.ts';
import { toRadians } from '../math/angle.ts';
import { distance, type Point } from '../math/point.ts';
import type { Shot } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { errorAsCued } from '../player/asCued.ts';
import { drawErrors, executedWith, type Draws } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import type { Cause } from '../records/cause.ts';
import { aimPointOf } from '../shot/kicks/aimPoint.ts';
import { hitOf, isLegalHit } from '../shot/kicks/hit.ts';
import { ballLost, isOnTable } from '../shot/outcome.ts';
import { ALL_ERRORS, mostOf, type StrokeError, type ToldError } from './attribution.ts';
import type { KickTaps } from './kickTaps.ts';

/** A kick as it was planned. */
export interface PlannedKick {
  /** The stroke on the line. */
  readonly shot: Shot;
  readonly target: string;
  /** Cushions before the ball that were asked for; 0 for any. */
  readonly cushions: number;
}

/** How one execution of a planned kick ended. */
interface ErringKick {
  readonly draws: Draws;
  readonly cueAt: Point;
  /** Undefined where the ball fell. */
  readonly targetAt: Point | undefined;
  readonly grade: ContactGrade;
  /** Legal by the game's rules. */
  readonly legal: boolean;
}

/** How a planned kick answers to a player's errors: many executions of it. */
export interface KickCloud {
  readonly plan: PlannedKick;
  readonly sizes: ExecutionError;
  readonly kicks: readonly ErringKick[];
}

/** What of a kick was off, where it can be told; of the line metres at the first cushion, to the left positive. */
export type KickFault = ToldError | { readonly kind: 'on plan' } | { readonly kind: 'cannot tell' };

/** What two places tell of a kick that was planned. */
export interface KickTold {
  /** How it was met, where most strokes that end so were met alike. */
  readonly grade: ContactGrade | undefined;
  /** Whether it was legal, where most of those strokes agree. */
  readonly legal: boolean | undefined;
  readonly fault: KickFault;
}

const KICKS = 8_000;
const SEED = 7332;
/** What ends as near as this to both places says how it came about: balls run far, and marks are by finger, metres. */
const NEAR = 0.06;
/** Farther than this, in those widths, an execution says nothing. */
const FARTHEST = 2.5;
/** So many executions have to end there. */
const LEAST_NEAR = 6;
/** A cause, or a thickness, is told from this share of them on. */
const TOLD = 0.74;
/** A ball that moved less than this as planned was not met, metres; a stroke this near to the plan needs no explaining. */
const ON_PLAN = 0.06;
/** A stroke that loses the cue ball went as far astray as this, metres. */
const LOST = 5;
const NONE: Draws = { line: 0, pace: 0, side: 0, height: 0, elevation: 0 };

function endOf({ shot, target, cushions }: PlannedKick, sizes: ExecutionError, draws: Draws) {
  const cue = shot.strike.ball;
  const result = simulate(executedWith(shot, sizes, draws), { paths: true });
  const [struck, ball] = [cue, target].map((id) => result.rest.find((each) => each.id === id));
  const hit = hitOf(result, cue);
  const isLost = struck === undefined || !isOnTable(struck) || ballLost(result.rest);
  const grade: ContactGrade = hit.first === target ? gradeOfHit(hit, cushions) : 'miss';
  return {
    cueAt: struck !== undefined && isOnTable(struck) ? { x: struck.x, y: struck.y } : undefined,
    targetAt: ball !== undefined && isOnTable(ball) ? { x: ball.x, y: ball.y } : undefined,
    grade,
    legal: hit.first === target && !isLost && isLegalHit(hit, shot.table.preset.game),
  };
}

/**
 * Plays a planned kick often with all of a player's errors at once.
 * @param error the player's, where nothing hampers the cue: standard deviations of line (degrees), pace (share), tip (ball
 *   radii) and butt (degrees)
 * @throws RangeError when the shot lacks the struck ball or the target
 */
export function kickCloud(plan: PlannedKick, error: ExecutionError): KickCloud {
  if (!plan.shot.balls.some(({ id }) => id === plan.target)) {
    throw new RangeError(`kickCloud: there is no ball ${plan.target}`);
  }
  const sizes = errorAsCued(plan.shot, error);
  const random = createRandom(SEED);
  const kicks = Array.from({ length: KICKS }, () => {
    const draws = drawErrors(random);
    return { draws, ...endOf(plan, sizes, draws) };
  });
  return {
    plan,
    sizes,
    kicks: kicks.flatMap(({ cueAt, ...rest }) => (cueAt === undefined ? [] : [{ ...rest, cueAt }])),
  };
}

/** Which error did most of one execution; undefined for the butt, of which nobody is told. */
function becauseOf({ plan, sizes }: KickCloud, planned: Point, { draws, grade }: ErringKick) {
  const effects = ALL_ERRORS.map((error) => {
    const alone = endOf(plan, sizes, { ...NONE, [error]: draws[error] });
    const away = alone.cueAt === undefined ? LOST : distance(alone.cueAt, planned);
    return { error, away, missed: alone.grade === 'miss' };
  });
  const error = mostOf(effects, grade === 'miss');
  return error === 'elevation' ? undefined : error;
}

function causeOf({ plan }: KickCloud, error: StrokeError, z: number): Cause {
  const { side } = plan.shot.strike.tip;
  switch (error) {
    case 'pace':
      return z > 0 ? 'too hard' : 'too soft';
    case 'height':
      return z > 0 ? 'too high' : 'too low';
    case 'side':
      return side === 0 || z * side > 0 ? 'too much side' : 'too little side';
    case 'line':
      return z > 0 ? 'left of the line' : 'right of the line';
  }
}

/** By how far a line that is turned comes beside its place at the cushion, metres; to the left positive. */
function offAtCushion({ plan: { shot }, sizes }: KickCloud, z: number): number {
  const { table, balls, strike } = shot;
  const position = { table, balls, cue: strike.ball };
  const at = aimPointOf(position, strike.direction).at;
  const off = aimPointOf(position, strike.direction + toRadians(sizes.directionDeg) * z).at;
  return Math.sign(z) * distance(at, off);
}

function amountOf(cloud: KickCloud, error: StrokeError, z: number): number {
  if (error === 'line') return offAtCushion(cloud, z);
  return (error === 'pace' ? cloud.sizes.speed : cloud.sizes.tip) * z;
}

/**
 * What was off in a kick, and how its ball was met: Bayes by the executions of the planned stroke, with all errors at once,
 * that ended where the two balls did. A thickness or a cause is told when three in four of them have it; nothing is where
 * hardly one ends there, as after another stroke than the planned one.
 * @param taps where the two balls stopped, metres @param missed whether the ball was left where it lay
 */
export function kickCause(cloud: KickCloud, { cueAt, targetAt }: KickTaps, missed: boolean): KickTold {
  const planned = endOf(cloud.plan, cloud.sizes, NONE);
  const grades = new Map<ContactGrade, number>();
  const legalities = new Map<boolean, number>();
  const causes = new Map<StrokeError, { weight: number; z: number }>();
  let whole = 0;
  for (const kick of cloud.kicks) {
    if ((kick.grade === 'miss') !== missed || kick.targetAt === undefined) continue;
    const off =
      Math.hypot(distance(kick.cueAt, cueAt), missed ? 0 : distance(kick.targetAt, targetAt)) / NEAR;
    if (off > FARTHEST) continue;
    const weight = Math.exp(-0.5 * off * off);
    whole += weight;
    grades.set(kick.grade, (grades.get(kick.grade) ?? 0) + weight);
    legalities.set(kick.legal, (legalities.get(kick.legal) ?? 0) + weight);
    if (planned.cueAt === undefined) continue;
    const because = becauseOf(cloud, planned.cueAt, kick);
    if (because === undefined) continue;
    const sum = causes.get(because) ?? { weight: 0, z: 0 };
    causes.set(because, { weight: sum.weight + weight, z: sum.z + weight * kick.draws[because] });
  }
  const told = <T>(weights: Iterable<readonly [T, number]>) =>
    whole < LEAST_NEAR ? undefined : [...weights].find(([, weight]) => weight >= TOLD * whole)?.[0];
  const met = { grade: told(grades), legal: told(legalities) };
  const isAsPlanned =
    !missed &&
    planned.cueAt !== undefined &&
    planned.targetAt !== undefined &&
    distance(planned.cueAt, cueAt) <= ON_PLAN &&
    distance(planned.targetAt, targetAt) <= ON_PLAN;
  if (isAsPlanned) return { ...met, fault: { kind: 'on plan' } };
  const error = told([...causes].map(([each, { weight }]) => [each, weight] as const));
  const sum = error === undefined ? undefined : causes.get(error);
  if (error === undefined || sum === undefined) return { ...met, fault: { kind: 'cannot tell' } };
  const z = sum.z / sum.weight;
  return {
    ...met,
    fault: {
      kind: 'told',
      error,
      cause: causeOf(cloud, error, z),
      amount: amountOf(cloud, error, z),
      probability: sum.weight / whole,
    },
  };
}
