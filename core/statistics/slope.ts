import { median } from './summary.ts';

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

/**
 * The median of the slopes between all pairs of observations, with its interval by Kendall's rank statistic
 * (P. K. Sen, JASA 63, 1968; variance n (n − 1)(2n + 5) / 18, no correction for ties). Pairs at the same time are left
 * out.
 * @param observations at least two of them at different times
 * @param z two-sided normal quantile, e.g. Z_90
 * @throws RangeError when no two observations lie at different times
 */
export function robustSlope(observations: readonly Observation[], z: number): Slope {
  const slopes: number[] = [];
  observations.forEach((a, i) => {
    for (const b of observations.slice(i + 1)) {
      if (b.at !== a.at) slopes.push((b.value - a.value) / (b.at - a.at));
    }
  });
  if (slopes.length === 0) {
    throw new RangeError('robustSlope: needs two observations at different times');
  }
  slopes.sort((a, b) => a - b);
  const n = observations.length;
  const spread = z * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  // Ranks from 1, rounded outwards.
  const lower = Math.floor((slopes.length - spread) / 2);
  const upper = Math.ceil((slopes.length + spread) / 2) + 1;
  return {
    slope: median(slopes),
    low: lower < 1 ? -Infinity : (slopes[lower - 1] ?? -Infinity),
    high: upper > slopes.length ? Infinity : (slopes[upper - 1] ?? Infinity),
  };
}
