import type { LedgerEntry } from '../../core/virtual/ledger.ts';
import type { LedgerSum } from '../../core/virtual/ledgerSums.ts';
import type { PotKind } from '../../core/virtual/potKind.ts';

/** What a shot cost in all, 0…1; negative for one that won. */
export function costOf({ choice, pot, position }: LedgerEntry): number {
  return choice + pot + position;
}

/** Less than this is not told, 0…1. */
export const LEAST_COST = 0.005;

/** The shot that cost most; undefined of no shots. */
export function dearestOf(entries: readonly LedgerEntry[]): LedgerEntry | undefined {
  return [...entries].sort((a, b) => costOf(b) - costOf(a))[0];
}

const PARTS = ['choice', 'pot', 'position'] as const;

/** "The third shot cost 0.42 of a clearance: 0.25 by the choice, 0.17 by the position." */
export function costWords(entry: LedgerEntry): string {
  const cost = costOf(entry);
  const shot = `Shot ${entry.shot}, at the ${entry.ball},`;
  if (cost < LEAST_COST) return `No shot cost anything: the best of them was played as it should be.`;
  const parts = PARTS.filter((part) => entry[part] >= LEAST_COST)
    .sort((a, b) => entry[b] - entry[a])
    .map((part) => `${entry[part].toFixed(2)} by the ${part}`);
  return `${shot} cost ${cost.toFixed(2)} of a clearance: ${parts.join(', ')}.`;
}

/** The level whose chances are taken for a player without a rating in run-outs. */
export const ASSUMED_RATING = 50;

export const POT_KIND_WORDS: Readonly<Record<PotKind, string>> = {
  thin: 'thin cut',
  long: 'long',
  straight: 'straight',
  cut: 'cut',
};

/** What was lost each time, in points of a hundred. @param lost in all, 0…1 each time */
export function lostPoints(lost: number, times: number): number {
  return Math.round((100 * lost) / Math.max(1, times));
}

/** "An attempt lost 9 points of a hundred by the choice of ball, 31 by misses and 18 by position." */
export function lostWords({ choice, pot, position }: LedgerSum, attempts: number): string {
  const [byChoice, byMisses, byPosition] = [choice, pot, position].map((lost) => lostPoints(lost, attempts));
  const over = attempts === 1 ? 'The attempt' : `Over ${attempts} attempts, each`;
  return `${over} lost ${byChoice} points of a hundred by the choice of ball, ${byMisses} by misses and ${byPosition} by position.`;
}
