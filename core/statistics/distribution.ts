/** A distribution over the whole numbers 0, 1, 2, …: the probability of each. */
export type Distribution = readonly number[];

/** The distribution of the sum of two independent numbers. */
export function sumOf(a: Distribution, b: Distribution): Distribution {
  const out = new Array<number>(a.length + b.length - 1).fill(0);
  a.forEach((p, i) => b.forEach((q, j) => (out[i + j] = out[i + j]! + p * q)));
  return out;
}

/** The distribution of the sum of n independent draws. @param n ≥ 1 */
export function sumOfDraws(one: Distribution, n: number): Distribution {
  let total: Distribution = [1];
  for (let i = 0; i < n; i++) total = sumOf(total, one);
  return total;
}

export function expectation(d: Distribution): number {
  return d.reduce((sum, p, value) => sum + p * value, 0);
}

/** The least value at which the probability of it or less reaches one half. */
export function medianOf(d: Distribution): number {
  let below = 0;
  for (let value = 0; value < d.length; value++) {
    below += d[value]!;
    if (below >= 0.5) return value;
  }
  return d.length - 1;
}

/** Percentile by mid-rank, 0…100: the probability of less, and half that of exactly as much. */
export function midRankPercentile(d: Distribution, value: number): number {
  let below = 0;
  for (let v = 0; v < Math.min(value, d.length); v++) below += d[v]!;
  return 100 * (below + 0.5 * (d[value] ?? 0));
}
