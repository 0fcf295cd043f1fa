import { drillAsPlayed } from '../../core/drill/drillAsPlayed.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { Round } from '../../core/records/round.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import { layoutOfAttempt, type AttemptLayout } from '../../core/scoring/layoutOfAttempt.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import { carriesLedger } from '../../core/virtual/ledger.ts';

/** An attempt of which a ledger can be worked out, and where its balls lay. */
export interface LedgerAttempt {
  readonly startedAt: string;
  /** As the round set it. */
  readonly drill: Drill;
  readonly attempt: StoredAttempt;
  readonly layout: AttemptLayout;
  /** Of the round. */
  readonly seed: number;
}

interface LedgerAttempts {
  /** Whether any attempt was written down shot by shot. */
  readonly written: boolean;
  /** Those that carry a ledger, the latest first. */
  readonly carrying: readonly LedgerAttempt[];
}

/** So many are offered. */
const MOST_ATTEMPTS = 20;

/** Looks through rounds of one kind from the latest on, until there are attempts enough for the ledger. */
export function ledgerAttempts(
  rounds: readonly Pick<Round, 'startedAt' | 'seed' | 'attempts' | 'mirrored' | 'table'>[],
  drill: Drill,
  preset: TablePreset,
): LedgerAttempts {
  const carrying: LedgerAttempt[] = [];
  let written = false;
  for (const round of rounds.toReversed()) {
    const { startedAt, seed, attempts } = round;
    const set = drillAsPlayed(drill, round);
    for (const attempt of attempts.toReversed()) {
      const { detail, shots } = attempt.log;
      if (detail !== 'full' || shots.length === 0) continue;
      written = true;
      const layout = layoutOfAttempt(set, preset, attempt.log, seed);
      if (carriesLedger(set, layout.balls, layout.cue, shots))
        carrying.push({ startedAt, drill: set, attempt, layout, seed });
      if (carrying.length === MOST_ATTEMPTS) return { written, carrying };
    }
  }
  return { written, carrying };
}
