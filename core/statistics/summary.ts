/** The arithmetic mean. @throws RangeError for no values */
export function mean(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('mean: needs at least one value');
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** The median; of an even number of values the mean of the two in the middle. @throws RangeError for no values */
export function median(values: readonly number[]): number {
  if (values.length === 0) throw new RangeError('median: needs at least one value');
  const sorted = [...values].sort((a, b) => a - b);
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}
