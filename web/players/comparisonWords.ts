import type { ShareComparison } from '../../core/statistics/compareShares.ts';

/** "Not decided: about 120 more breaks each." */
export function comparisonWords(a: string, b: string, comparison: ShareComparison): string {
  const { better, moreEach, low, high } = comparison;
  const points = (share: number) => Math.round(100 * Math.abs(share));
  if (better !== undefined) {
    const [ahead, behind] = better === 'a' ? [a, b] : [b, a];
    const ends = [points(low), points(high)].sort((x, y) => x - y);
    return `Decided: ${ahead} is better than ${behind}, by ${ends[0] ?? 0} to ${ends[1] ?? 0} of a hundred breaks.`;
  }
  if (moreEach === undefined) return `Not decided between ${a} and ${b}, and no number of breaks would tell.`;
  return `Not decided between ${a} and ${b}: about ${moreEach} more ${moreEach === 1 ? 'break' : 'breaks'} each.`;
}
