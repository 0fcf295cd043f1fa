/** What the results of rounds are counted in. */
export const RESULT_UNITS = [
  'points',
  'tries',
  'balls',
  'lives',
  'rung',
  'clears',
  'hits',
  'calls',
  'run',
] as const;

/** The result of a round by any counting method. */
export interface RoundResult {
  readonly value: number;
  readonly unit: (typeof RESULT_UNITS)[number];
  readonly better: 'high' | 'low';
  /** Best that the whole round could give; null where nothing bounds it. */
  readonly maximum: number | null;
  /** The round is over by its own rules. */
  readonly complete: boolean;
  /**
   * The real value lies beyond `value`: a round that was given up, or is not done. It shows as "> 5" and ranks worse
   * than 5.
   */
  readonly censored: boolean;
}

/**
 * Orders two results of the same method and settings, the better one first: negative when `a` is better. A censored
 * result ranks just behind the value at which it was cut off.
 * @throws RangeError for results of unlike methods
 */
export function compareResults(a: RoundResult, b: RoundResult): number {
  if (a.unit !== b.unit || a.better !== b.better) {
    throw new RangeError('compareResults: the results must be of the same method');
  }
  const ahead = a.better === 'high' ? b.value - a.value : a.value - b.value;
  return ahead !== 0 ? ahead : Number(a.censored) - Number(b.censored);
}

/** "> 5" for a censored result, "5" for another. */
export function resultText({ value, censored }: RoundResult): string {
  const text = String(Math.round(100 * value) / 100);
  return censored ? `> ${text}` : text;
}

/**
 * The median of some results as a result: of an even number the worse of the two in the middle, so that it is one
 * that was played.
 * @throws RangeError for none
 */
export function medianResult(results: readonly RoundResult[]): RoundResult {
  const median = [...results].sort(compareResults)[Math.floor(results.length / 2)];
  if (median === undefined) throw new RangeError('medianResult: needs at least one result');
  return median;
}

/**
 * Whether a round counts among others of its kind: when it is complete; and tries at a clearance that were given up count
 * as worse than as many.
 */
export function isComparable({ complete, unit, value }: RoundResult): boolean {
  return complete || (unit === 'tries' && value > 0);
}
