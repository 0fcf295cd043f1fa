import { listAttempts } from '../db/queries/attempts.ts';
import { listResultsOfPlayer, type ReadResult, type RoundResultRow } from '../db/queries/results.ts';
import { storeMissingResult, type KeptResult } from '../db/queries/rounds.ts';
import type { Database } from '../db/pool.ts';
import { readableRevision } from '../db/queries/drills.ts';
import { keptOf, setFor } from '../rounds/counting.ts';

/** A player's ended rounds of a period with what they came to; what was not kept yet is counted now, and kept. */
export async function keptResults(
  db: Database,
  player: { readonly clubId: string; readonly id: string },
  asked: { readonly from: Date; readonly to: Date; readonly sums: boolean },
): Promise<readonly { readonly row: RoundResultRow; readonly kept: ReadResult }[]> {
  const rows = await listResultsOfPlayer(db, player.clubId, player.id, asked);
  const missing = rows.filter(({ kept }) => kept === undefined);
  const attempts = await listAttempts(
    db,
    missing.map(({ id }) => id),
  );
  const counted = new Map<string, KeptResult>();
  for (const row of missing) {
    const entry = await readableRevision(db, row.drillOwner, row.drill, row.revision);
    if (entry === undefined) continue;
    const kept = keptOf(setFor(entry, row), row, attempts.get(row.id) ?? []);
    counted.set(row.id, kept);
    await storeMissingResult(db, row.id, kept);
  }
  return rows.flatMap((row) => {
    const kept = row.kept ?? counted.get(row.id);
    return kept === undefined ? [] : [{ row, kept }];
  });
}
