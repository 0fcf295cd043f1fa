/** A value at a time. */
export interface Observation {
  readonly at: number;
  readonly value: number;
}

/** A straight trend that outliers hardly move. */
export interface Slope {
  /** Change of the value for one unit of time. */
  readonly slope: number;
  /** Interval at the confidence asked for; from −∞ to ∞ where too few observations decide nothing. */
  readonly low: number;
  readonly high: number;
}

/** The slopes between all pairs at different times, rising: eleven thousand of a hundred and fifty observations. */
function slopesOf(observations: readonly Observation[]): Float64Array {
  const n = observations.length;
  const slopes = new Float64Array((n * (n - 1)) / 2);
  let found = 0;
  for (let i = 0; i < n; i++) {
    const a = observations[i]!;
    for (let k = i + 1; k < n; k++) {
      const b = observations[k]!;
      if (b.at !== a.at) slopes[found++] = (b.value - a.value) / (b.at - a.at);
    }
  }
  return slopes.subarray(0, found).sort();
}

/**
 * The median of the slopes between all pairs of observations, with its interval by Kendall's rank statistic
 * (P. K. Sen, JASA 63, 1968; variance n (n − 1)(2n + 5) / 18, no correction for ties). Pairs at the same time are left
 * out.
 * @param observations at least two of them at different times
 * @param z two-sided normal quantile, e.g. Z_90
 * @throws RangeError when no two observations lie at different times
 */
export function robustSlope(observations: readonly Observation[], z: number): Slope {
  const slopes = slopesOf(observations);
  if (slopes.length === 0) {
    throw new RangeError('robustSlope: needs two observations at different times');
  }
  const n = observations.length;
  const spread = z * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  // Ranks from 1, rounded outwards.
  const lower = Math.floor((slopes.length - spread) / 2);
  const upper = Math.ceil((slopes.length + spread) / 2) + 1;
  return {
    slope: (slopes[(slopes.length - 1) >> 1]! + slopes[slopes.length >> 1]!) / 2,
    low: lower < 1 ? -Infinity : (slopes[lower - 1] ?? -Infinity),
    high: upper > slopes.length ? Infinity : (slopes[upper - 1] ?? Infinity),
  };
}
