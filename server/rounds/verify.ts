import { isDeepStrictEqual } from 'node:util';
import type { RowDataPacket } from 'mysql2/promise';
import { problemOf } from '../db/backup/columns.ts';
import { readRows } from '../db/backup/rows.ts';
import { BACKUP_TABLES } from '../db/backup/tables.ts';
import { DamagedRowError, readable } from '../db/damaged.ts';
import { inTransaction, type Database, type DatabasePool } from '../db/pool.ts';
import { findRoundHead, lockRound, storeResult, type KeptResult } from '../db/queries/rounds.ts';
import { fromStored } from '../db/stored.ts';
import { Refusal } from '../http/errors.ts';
import { currentResult } from './changing.ts';

/** A row that cannot be read, or a kept sum that its attempts do not give. */
export interface Finding {
  readonly table: string;
  readonly id: string;
  readonly what: string;
  readonly mended: boolean;
}

interface KeptRow extends RowDataPacket {
  id: string;
  club_id: string;
  result: unknown;
  sums: unknown;
}

const ROUNDS_AT_A_TIME = 500;

/** What is kept of a round, as it stands; undefined for what cannot be read. */
function keptOf(row: KeptRow): KeptResult | undefined {
  return readable('rounds', row.id, () => ({
    result: fromStored('result', row.result),
    sums: fromStored('sums', row.sums),
  }));
}

/** What is sent of a value: what is undefined is not there. */
const sent = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

async function checkRound(db: Database, row: KeptRow, fix: boolean): Promise<Finding | undefined> {
  const head = await findRoundHead(db, row.club_id, row.id);
  if (head === undefined || head.endedAt === null) return undefined;
  const now = await currentResult(db, row.club_id, head);
  const kept = keptOf(row);
  if (kept !== undefined && isDeepStrictEqual(sent(now), sent(kept))) return undefined;
  if (fix) await storeResult(db, row.id, now);
  const told = (value: KeptResult | undefined) =>
    value === undefined ? 'nothing' : JSON.stringify(value.result);
  return {
    table: 'rounds',
    id: row.id,
    what: `kept is ${told(kept)}, its attempts give ${told(now)}`,
    mended: fix,
  };
}

/**
 * Counts every kept result and sum of a club's ended rounds again from their attempts, each under its round's lock.
 * @param fix whether what differs is put right
 */
export async function* verifyRounds(
  pool: DatabasePool,
  clubId: string,
  fix: boolean,
): AsyncGenerator<Finding> {
  let after = '';
  for (;;) {
    // Rounds from before results were kept get theirs when they are first asked for; of the erased only sums are left.
    const [rows] = await pool.execute<KeptRow[]>(
      `SELECT r.id, r.club_id, r.result, r.sums FROM rounds r JOIN people p ON p.id = r.player_id
       WHERE r.club_id = ? AND r.ended_at IS NOT NULL AND r.result IS NOT NULL AND r.sums IS NOT NULL
         AND p.erased_at IS NULL AND r.id > ? ORDER BY r.id LIMIT ${String(ROUNDS_AT_A_TIME)}`,
      [clubId, after],
    );
    for (const { id } of rows) {
      const finding = await inTransaction(pool, async (db) => {
        await lockRound(db, id);
        const [again] = await db.execute<KeptRow[]>(
          'SELECT id, club_id, result, sums FROM rounds WHERE id = ?',
          [id],
        );
        return again[0] && checkRound(db, again[0], fix);
      }).catch((error: unknown): Finding => {
        if (!(error instanceof DamagedRowError || error instanceof Refusal)) throw error;
        return { table: 'rounds', id, what: error.message, mended: false };
      });
      if (finding !== undefined) yield finding;
    }
    const last = rows.at(-1);
    if (last === undefined || rows.length < ROUNDS_AT_A_TIME) return;
    after = last.id;
  }
}

/** The rows of a club that cannot be read: each of their columns is looked at as a backup's is. */
export async function* damagedRows(pool: DatabasePool, clubId: string): AsyncGenerator<Finding> {
  const connection = await pool.openConnection(600);
  try {
    for (const table of BACKUP_TABLES) {
      for await (const rows of readRows(connection, table, clubId)) {
        for (const row of rows) {
          for (const column of Object.keys(table.columns)) {
            const problem = problemOf(table, column, row[column]);
            if (problem === undefined) continue;
            const id = table.key.map((name) => JSON.stringify(row[name])).join(' ');
            yield { table: table.name, id, what: `${column}: ${problem}`, mended: false };
          }
        }
      }
    }
  } finally {
    connection.destroy();
  }
}
