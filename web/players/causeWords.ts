import type { CauseShare } from '../../core/scoring/causeShares.ts';
import { ERROR_WORDS } from '../words/errorWords.ts';

/** Errors below this share are not named. */
const NAMED = 0.05;

/** "pace 41 % (25 to 58), line 30 % (12 to 47)": the errors that count, the largest first. */
export function causeSharesWords(shares: readonly CauseShare[]): string {
  const percent = (share: number) => String(Math.round(100 * share));
  return shares
    .filter(({ share }) => share >= NAMED)
    .map(
      ({ error, share, low, high }) =>
        `${ERROR_WORDS[error]} ${percent(share)} % (${percent(low)} to ${percent(high)})`,
    )
    .join(', ');
}

/** Whether the first error is behind more than the next, beyond what chance allows. */
export function standsOut([first, second]: readonly CauseShare[]): boolean {
  return first !== undefined && (second === undefined || first.low > second.high);
}
