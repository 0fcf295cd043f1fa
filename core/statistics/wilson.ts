/** A share and the interval that the data leave open for it. */
export interface ShareInterval {
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/** Two-sided quantile of the normal distribution for 90 %. */
export const Z_90 = 1.6448536269514722;
/** Of 95 %. */
export const Z_95 = 1.959963984540054;

/**
 * Wilson's score interval for k of n (E. B. Wilson, JASA 22, 1927), without continuity correction.
 * @param made k, 0…n; @param of n; for 0 nothing is known: 0 to 1
 * @param z normal quantile, e.g. Z_90
 * @throws RangeError when k is not between 0 and n
 */
export function wilson(made: number, of: number, z = Z_90): ShareInterval {
  if (!(made >= 0 && made <= of)) throw new RangeError('wilson: made must be between 0 and of');
  if (of === 0) return { share: NaN, low: 0, high: 1 };
  const share = made / of;
  const spread = (z * z) / of;
  const centre = (share + spread / 2) / (1 + spread);
  const half = (z / (1 + spread)) * Math.sqrt((share * (1 - share)) / of + spread / (4 * of));
  return { share, low: Math.max(0, centre - half), high: Math.min(1, centre + half) };
}
