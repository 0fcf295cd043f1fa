import type { LedgerEntry } from '../../core/virtual/ledger.ts';

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
