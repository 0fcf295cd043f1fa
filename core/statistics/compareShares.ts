import { wilson, type ShareInterval } from './wilson.ts';

/** Successes among tries. */
export interface Tries {
  readonly made: number;
  readonly of: number;
}

/** How two shares compare: of two cues, two places, two ways. */
export interface ShareComparison {
  readonly a: ShareInterval;
  readonly b: ShareInterval;
  /** a − b, with its interval. */
  readonly difference: number;
  readonly low: number;
  readonly high: number;
  /** Which one is surely better; undefined while the interval holds 0. */
  readonly better: 'a' | 'b' | undefined;
  /** So many more tries of each would about decide it, if the shares stay as they are; undefined where they never would. */
  readonly moreEach: number | undefined;
}

/** More tries than this are as good as never. */
const NEVER = 100_000;

/**
 * The difference of two independent shares with R. G. Newcombe's hybrid score interval (Statistics in Medicine 17, 1998,
 * method 10: from both Wilson intervals), and about how many more tries of each decide it.
 * @param z two-sided normal quantile, e.g. Z_90
 * @throws RangeError when made is not between 0 and of, or nothing was tried
 */
export function compareShares(a: Tries, b: Tries, z: number): ShareComparison {
  if (a.of === 0 || b.of === 0) throw new RangeError('compareShares: both need at least one try');
  const [one, two] = [wilson(a.made, a.of, z), wilson(b.made, b.of, z)];
  const difference = one.share - two.share;
  const low = difference - Math.hypot(one.share - one.low, two.high - two.share);
  const high = difference + Math.hypot(one.high - one.share, two.share - two.low);
  const better = low > 0 ? 'a' : high < 0 ? 'b' : undefined;
  const variance = one.share * (1 - one.share) + two.share * (1 - two.share);
  // Tries of each at which the half width of the plain interval is as large as the difference.
  const needed = difference === 0 ? Infinity : (z * z * variance) / (difference * difference);
  const more = Math.ceil(needed - Math.min(a.of, b.of));
  return {
    a: one,
    b: two,
    difference,
    low,
    high,
    better,
    moreEach: better !== undefined ? 0 : more > NEVER ? undefined : Math.max(1, more),
  };
}
