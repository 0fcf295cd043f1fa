import type { LedgerEntry } from './ledger.ts';

/** The shot of a failed attempt with which its trouble began. */
export interface TroubleOrigin {
  readonly entry: LedgerEntry;
  /** What it gave away of the chance of clearing, 0…1. */
  readonly lost: number;
}

/**
 * The shot that gave away most of the chance of clearing: by the choice and by where the cue ball stopped, and the last one
 * by its miss as well. What a pot wins by falling is nobody's trouble, so that a ball that was missed begins it itself only
 * where no earlier shot gave away more.
 * @param entries of an attempt, up to the shot that failed @returns undefined for none, or where nothing was lost
 */
export function originOfTrouble(entries: readonly LedgerEntry[]): TroubleOrigin | undefined {
  let origin: TroubleOrigin | undefined;
  for (const [k, entry] of entries.entries()) {
    const lost = entry.choice + entry.position + (k === entries.length - 1 ? Math.max(0, entry.pot) : 0);
    if (lost > (origin?.lost ?? 0)) origin = { entry, lost };
  }
  return origin;
}
