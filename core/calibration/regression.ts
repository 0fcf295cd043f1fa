import { EigenvalueDecomposition, Matrix, inverse } from 'ml-matrix';

/** What is likely of some unknowns, once something was read: a distribution by its first two moments, and how far out its ends are. */
export interface Likely {
  readonly means: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** Below and above which a twentieth lies each, in deviations from the mean: −1.645 and 1.645 of a normal distribution. */
  readonly ends: readonly (readonly [low: number, high: number])[];
}

/** A little is added to the diagonal, so that features that say the same do no harm; more the more features a draw has. */
const RIDGE = 1e-3;
const RIDGE_BY_FEATURE = 0.25;
/** Below this a feature is the same for all draws, and tells nothing. */
const CONSTANT = 1e-9;
/** Least share of a draw that the others leave unsaid: it bounds the short cut of leaving one out. */
const LEAST_UNSAID = 0.05;
/** Share of the draws that are near enough to say how far off the regression is. */
const NEAR = 0.4;

/**
 * Approximate Bayesian computation by regression (Beaumont, Zhang and Balding 2002): unknowns were drawn and what would be read
 * simulated; a linear regression of the ones on the others, at what was really read, says what is likely. How far off it is, is
 * told by draws that are left out of it one by one (by their leverage, without doing it anew each time).
 * @param draws unknowns, a row for each draw; some hundreds at least
 * @param features of what was simulated for each draw @param own the same of what was really read
 * @throws RangeError without draws
 */
export function likelyGiven(
  draws: readonly (readonly number[])[],
  features: readonly (readonly number[])[],
  own: readonly number[],
): Likely {
  if (draws.length === 0) throw new RangeError('likelyGiven: there must be draws');
  const count = draws.length;
  const raw = new Matrix(features.map((row) => [...row]));
  const means = raw.mean('column');
  const deviations = raw.standardDeviation('column', { unbiased: false, mean: means });
  const columns = deviations.flatMap((deviation, j) => (deviation > CONSTANT ? [j] : []));
  const scaled = (row: readonly number[]) =>
    columns.map((j) => ((row[j] ?? 0) - (means[j] ?? 0)) / (deviations[j] ?? 1));
  const told = new Matrix(features.map(scaled));
  const unknowns = new Matrix(draws.map((row) => [...row]));
  const middle = unknowns.mean('column');
  const centred = unknowns.clone().subRowVector(middle);
  const ridge = RIDGE + (RIDGE_BY_FEATURE * columns.length) / count;
  const gram = told.transpose().mmul(told).div(count).add(Matrix.eye(columns.length).mul(ridge));
  const solver = inverse(gram);
  const weights = solver.mmul(told.transpose()).mmul(centred).div(count);
  const fitted = told.mmul(weights);
  const leverage = told
    .mmul(solver)
    .mul(told)
    .sum('row')
    .map((sum) => sum / count);
  const left = new Matrix(
    draws.map((_, n) => {
      const unsaid = Math.max(LEAST_UNSAID, 1 - (leverage[n] ?? 0));
      return centred.getRow(n).map((value, i) => (value - fitted.get(n, i)) / unsaid);
    }),
  );
  const said = new Matrix([scaled(own)]).mmul(weights).getRow(0);
  // A straight line is less true far off: only the draws that look most like what was read say how far off it is.
  const widths = left.standardDeviation('column', { unbiased: false, mean: said.map(() => 0) });
  const away = draws.map((_, n) =>
    said.reduce((sum, value, i) => sum + ((fitted.get(n, i) - value) / (widths[i] ?? 1)) ** 2, 0),
  );
  const far = away.toSorted((x, y) => x - y)[Math.floor(NEAR * (count - 1))] ?? Infinity;
  const near = new Matrix(left.to2DArray().filter((_, n) => (away[n] ?? 0) <= far));
  // There a straight line may lie beside them all alike.
  const beside = near.mean('column');
  near.subRowVector(beside);
  const covariance = near.transpose().mmul(near).div(near.rows).to2DArray();
  return {
    means: said.map((value, i) => value + (middle[i] ?? 0) + (beside[i] ?? 0)),
    covariance,
    ends: covariance.map((row, i) => endsOf(near.getColumn(i), Math.sqrt(row[i] ?? 0))),
  };
}

/** Share of a distribution that lies beyond either end of what is told: nine times in ten it lies between. */
const BEYOND = 0.05;

/**
 * How far out a twentieth lies beyond either end, in deviations: one more residual lies below the k-th smallest of n with the
 * chance k / (n + 1), whatever their distribution (Wilks 1941).
 */
function endsOf(residuals: readonly number[], deviation: number): readonly [number, number] {
  const sorted = residuals.toSorted((a, b) => a - b);
  const beyond = Math.max(1, Math.floor(BEYOND * (sorted.length + 1)));
  return [(sorted[beyond - 1] ?? 0) / deviation, (sorted[sorted.length - beyond] ?? 0) / deviation];
}

/** Independent normal distributions. */
export interface Box {
  readonly centres: readonly number[];
  readonly widths: readonly number[];
}

/**
 * What is likely if the unknowns were standard normal before, where the draws came from elsewhere: the draws' own distribution is
 * taken out and the standard one put in its place (sums of precisions). How far out its ends are stays as it is.
 * @param drawn from where the draws of `likely` came
 */
export function underStandardPrior({ means, covariance, ends }: Likely, { centres, widths }: Box): Likely {
  const told = inverse(new Matrix(covariance.map((row) => [...row])));
  const drawn = Matrix.diag(widths.map((width) => 1 / width ** 2));
  const weighted = told
    .mmul(Matrix.columnVector([...means]))
    .sub(drawn.mmul(Matrix.columnVector([...centres])));
  // What was read never makes less sure: noise of the regression may seem to. In such a direction it says nothing at all.
  const gained = told.clone().sub(drawn);
  const { realEigenvalues, eigenvectorMatrix: axes } = new EigenvalueDecomposition(gained, {
    assumeSymmetric: true,
  });
  const isRead = Matrix.diag(realEigenvalues.map((value) => (value > 0 ? 1 : 0)));
  const onlyRead = axes.mmul(isRead).mmul(axes.transpose());
  const read = onlyRead.mmul(gained);
  const posterior = inverse(read.add(Matrix.eye(widths.length)));
  return {
    means: posterior.mmul(onlyRead).mmul(weighted).getColumn(0),
    covariance: posterior.to2DArray(),
    ends,
  };
}

/** Standard deviations of what is likely. */
export function deviationsOf({ covariance }: Likely): readonly number[] {
  return covariance.map((row, i) => Math.sqrt(row[i] ?? 0));
}

/** How the unknowns go together, −1…1. */
export function correlationsOf(likely: Likely): readonly (readonly number[])[] {
  const spread = deviationsOf(likely);
  return likely.covariance.map((row, i) =>
    row.map((value, j) => value / ((spread[i] ?? 1) * (spread[j] ?? 1))),
  );
}
