import { distance, type Point } from '../math/point.ts';
import { createRandom, type Random } from '../random/random.ts';
import { NEAR, ON_PLAN, STROKE_ERRORS, type StrokeCloud, type StrokeError } from './attribution.ts';

/** What most of a landing can come from: the errors that are told, and the butt, of which nobody is. */
const SOURCES = [...STROKE_ERRORS, 'butt'] as const;

/** How well each source explains one landing, up to a common factor. */
export type CauseEvidence = readonly number[];

/** How much of what goes wrong comes from one error, 0…1, with the interval that holds it in nine of ten. */
export interface CauseShare {
  readonly error: StrokeError;
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/** Sweeps of the sampler, and those at its start that are forgotten. */
const SWEEPS = 700;
const FORGOTTEN = 100;
const SEED = 90210;
/** Farther than this from a landing, in widths of the mark, a stroke says nothing of it. */
const FARTHEST = 3;
/**
 * Share of the draws beyond either end of an interval: with a player's errors known to half their size only, nine in ten of
 * the real shares lie within (npm run truth).
 */
const TAIL = 0.022;
/** Fewer shots than this with something to explain say nothing together. */
const LEAST_SHOTS = 8;

/**
 * What one landing says about its cause: for each source how dense strokes lie there of which it did most.
 * @returns undefined where there is nothing to explain, or nothing explains it
 */
export function causeEvidence(
  cloud: StrokeCloud,
  landing: Point,
  potted: boolean,
): CauseEvidence | undefined {
  if (potted && distance(landing, cloud.planned) <= ON_PLAN) return undefined;
  const dense = new Array<number>(SOURCES.length).fill(0);
  const all = new Array<number>(SOURCES.length).fill(0);
  for (const stroke of cloud.strokes) {
    const source = SOURCES.indexOf(stroke.because ?? 'butt');
    if (stroke.potted && distance(stroke.at, cloud.planned) <= ON_PLAN) continue;
    all[source] = (all[source] ?? 0) + 1;
    if (stroke.potted !== potted) continue;
    const off = distance(stroke.at, landing) / NEAR;
    if (off <= FARTHEST) dense[source] = (dense[source] ?? 0) + Math.exp(-0.5 * off * off);
  }
  const evidence = dense.map((each, k) => each / Math.max(1, all[k] ?? 0));
  return evidence.some((each) => each > 0) ? evidence : undefined;
}

/** A draw of Gamma(n, 1) for a whole n ≥ 1: the sum of n exponential draws. */
function gamma(random: Random, n: number): number {
  let sum = 0;
  for (let k = 0; k < n; k++) sum -= Math.log(1 - random.uniform());
  return sum;
}

/**
 * How much of what went wrong over many shots came from each error: the shares of a mixture, by Gibbs' sampler with a flat
 * Dirichlet prior (Diebolt and Robert, J. R. Stat. Soc. B 56, 1994). What no single shot tells, fifty do.
 * @returns the errors by their share, the largest first; undefined for too few shots
 */
export function causeShares(shots: readonly CauseEvidence[]): readonly CauseShare[] | undefined {
  if (shots.length < LEAST_SHOTS) return undefined;
  const random = createRandom(SEED);
  let shares = SOURCES.map(() => 1 / SOURCES.length);
  const drawn: number[][] = STROKE_ERRORS.map(() => []);
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    const counts = SOURCES.map(() => 0);
    for (const evidence of shots) {
      const weights = evidence.map((each, k) => each * (shares[k] ?? 0));
      let left = random.uniform() * weights.reduce((a, b) => a + b, 0);
      const source = weights.findIndex((weight) => (left -= weight) < 0);
      counts[Math.max(0, source)] = (counts[Math.max(0, source)] ?? 0) + 1;
    }
    const draws = counts.map((count) => gamma(random, count + 1));
    const sum = draws.reduce((a, b) => a + b, 0);
    shares = draws.map((draw) => draw / sum);
    if (sweep >= FORGOTTEN) drawn.forEach((of, k) => of.push(shares[k] ?? 0));
  }
  return STROKE_ERRORS.map((error, k) => {
    const of = (drawn[k] ?? []).toSorted((a, b) => a - b);
    const share = of.reduce((a, b) => a + b, 0) / of.length;
    return {
      error,
      share,
      low: of[Math.floor(TAIL * of.length)] ?? 0,
      high: of[Math.floor((1 - TAIL) * of.length)] ?? 1,
    };
  }).sort((a, b) => b.share - a.share);
}
