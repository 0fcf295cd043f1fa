import type { PoolConnection } from 'mysql2/promise';
import type { AttemptLog } from '../../core/records/attempt.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import type { Table } from '../../core/table/table.ts';
import { insertAttempt } from '../db/queries/attempts.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { endRound, insertRound, storeResult, type NewRoundRow } from '../db/queries/rounds.ts';
import { countFor, keptOf } from '../rounds/counting.ts';

const SECONDS_PER_ATTEMPT = 50;

/** Stores a round that was logged, counted by the same code as everybody's. */
export async function storeLoggedRound(
  db: PoolConnection,
  row: NewRoundRow,
  played: {
    readonly entry: StoredDrill;
    readonly table: Table;
    readonly tableName: string;
    readonly logs: readonly AttemptLog[];
    readonly idOf: (ordinal: number) => string;
  },
): Promise<void> {
  const { entry, table, logs, idOf } = played;
  await insertRound(db, row);
  const attempts: StoredAttempt[] = [];
  for (const [i, log] of logs.entries()) {
    const attempt = countFor(
      entry,
      { table },
      { stage: row.stage },
      {
        id: idOf(i + 1),
        ordinal: i + 1,
        log,
        playedAt: new Date(row.startedAt.getTime() + (i + 1) * SECONDS_PER_ATTEMPT * 1000).toISOString(),
      },
    );
    attempts.push(attempt);
    await insertAttempt(db, row.id, attempt, { recordedBy: row.recordedBy, contested: false });
  }
  await endRound(db, row.id, {
    at: new Date(row.startedAt.getTime() + (attempts.length + 1) * SECONDS_PER_ATTEMPT * 1000),
    early: false,
  });
  await storeResult(
    db,
    row.id,
    keptOf(entry, { ...row, table: { preset: entry.document.table, name: played.tableName } }, attempts),
  );
}
