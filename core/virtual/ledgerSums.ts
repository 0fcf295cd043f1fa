import { groupBy } from '../statistics/groupBy.ts';
import type { LedgerEntry } from './ledger.ts';
import { POT_KINDS, type PotKind } from './potKind.ts';

/** What shots gave away of the chance of clearing, 0…1 each, summed; what others won is not set against it. */
export interface LedgerSum {
  readonly shots: number;
  /** By the choice of ball and pocket, by misses, and by where the cue ball stopped after a pot. */
  readonly choice: number;
  readonly pot: number;
  readonly position: number;
}

/** What some shots gave away. */
export function ledgerSum(entries: readonly LedgerEntry[]): LedgerSum {
  const lost = (part: 'choice' | 'pot' | 'position') =>
    entries.reduce((sum, entry) => sum + Math.max(0, entry[part]), 0);
  return { shots: entries.length, choice: lost('choice'), pot: lost('pot'), position: lost('position') };
}

/** The same for each kind of pot that was played, in the order of how much it gave away a shot. */
export function ledgerByKind(
  entries: readonly LedgerEntry[],
): readonly (LedgerSum & { readonly kind: PotKind })[] {
  const aShot = ({ choice, pot, position, shots }: LedgerSum) => (choice + pot + position) / shots;
  return POT_KINDS.flatMap((kind) => {
    const own = entries.filter((entry) => entry.kind === kind);
    return own.length === 0 ? [] : [{ kind, ...ledgerSum(own) }];
  }).sort((a, b) => aShot(b) - aShot(a));
}

/** An attempt with its ledger. */
export interface WorkedAttempt {
  /** When its round began, in the club's time. */
  readonly month: string;
  readonly entries: readonly LedgerEntry[];
}

/** The same for each month, the earliest first. */
export function ledgerByMonth(
  attempts: readonly WorkedAttempt[],
): readonly (LedgerSum & { readonly month: string; readonly attempts: number })[] {
  return [...groupBy(attempts, ({ month }) => month)]
    .map(([month, own]) => ({
      month,
      attempts: own.length,
      ...ledgerSum(own.flatMap(({ entries }) => entries)),
    }))
    .sort((a, b) => a.month.localeCompare(b.month));
}
