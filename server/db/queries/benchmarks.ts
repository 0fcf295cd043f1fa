import type { RowDataPacket } from 'mysql2/promise';
import type { Benchmark } from '../../../core/records/benchmark.ts';
import { readable } from '../damaged.ts';
import { fromStored, toStored } from '../stored.ts';
import type { Database } from '../pool.ts';

/** Everything that a benchmark depends on. */
export interface BenchmarkKey {
  /** Whose text the drill is: see LIBRARY. */
  readonly owner: string;
  readonly drill: string;
  readonly revision: number;
  readonly stage: number;
  /** Rung at which a ladder begins, from 0; 0 in other drills. */
  readonly ladderStart: number;
  readonly tableFingerprint: string;
  readonly modelVersion: string;
  readonly levelVersion: number;
}

interface BenchmarkRow extends RowDataPacket {
  document: unknown;
}

/** The columns of a key, in the order of its parts, and a place for each. */
export const KEY_COLUMNS =
  'owner, drill, revision, stage, ladder_start, table_fingerprint, model_version, level_version';
export const KEY_PLACES = '?, ?, ?, ?, ?, ?, ?, ?';

/** Finds the row of one key, by its parts. */
export const KEY_IS = `owner = ? AND drill = ? AND revision = ? AND stage = ? AND ladder_start = ?
  AND table_fingerprint = ? AND model_version = ? AND level_version = ?`;

export function keyParts(key: BenchmarkKey): (string | number)[] {
  return [
    key.owner,
    key.drill,
    key.revision,
    key.stage,
    key.ladderStart,
    key.tableFingerprint,
    key.modelVersion,
    key.levelVersion,
  ];
}

/** The columns of a key, as a row has them. */
export interface KeyRow {
  owner: string;
  drill: string;
  revision: number;
  stage: number;
  ladder_start: number;
  table_fingerprint: string;
  model_version: string;
  level_version: number;
}

export function keyOf(row: KeyRow): BenchmarkKey {
  return {
    owner: row.owner,
    drill: row.drill,
    revision: row.revision,
    stage: row.stage,
    ladderStart: row.ladder_start,
    tableFingerprint: row.table_fingerprint,
    modelVersion: row.model_version,
    levelVersion: row.level_version,
  };
}

export async function findBenchmark(db: Database, key: BenchmarkKey): Promise<Benchmark | undefined> {
  const [rows] = await db.execute<BenchmarkRow[]>(
    `SELECT document FROM benchmarks WHERE ${KEY_IS}`,
    keyParts(key),
  );
  const row = rows[0];
  // One that cannot be read is as good as none: it is computed anew.
  return row && readable('benchmarks', key.drill, () => fromStored('benchmark', row.document));
}

interface FoundRow extends RowDataPacket, KeyRow {
  document: unknown;
}

/** So many keys are asked for in one statement. */
const KEYS_AT_A_TIME = 200;

/** Those of some benchmarks that are there. */
export async function findBenchmarks(
  db: Database,
  keys: readonly BenchmarkKey[],
): Promise<readonly { readonly key: BenchmarkKey; readonly benchmark: Benchmark }[]> {
  const found: { key: BenchmarkKey; benchmark: Benchmark }[] = [];
  for (let from = 0; from < keys.length; from += KEYS_AT_A_TIME) {
    const some = keys.slice(from, from + KEYS_AT_A_TIME);
    const [rows] = await db.execute<FoundRow[]>(
      `SELECT ${KEY_COLUMNS}, document FROM benchmarks
       WHERE (${KEY_COLUMNS}) IN (${some.map(() => `(${KEY_PLACES})`).join(', ')})`,
      some.flatMap(keyParts),
    );
    for (const row of rows) {
      const benchmark = readable('benchmarks', row.drill, () => fromStored('benchmark', row.document));
      if (benchmark !== undefined) found.push({ key: keyOf(row), benchmark });
    }
  }
  return found;
}

/** Keeps a benchmark, in the place of one that could not be read. */
export async function storeBenchmark(db: Database, key: BenchmarkKey, benchmark: Benchmark): Promise<void> {
  await db.execute(
    `INSERT INTO benchmarks (${KEY_COLUMNS}, document)
     VALUES (${KEY_PLACES}, ?) ON DUPLICATE KEY UPDATE document = VALUES(document)`,
    [...keyParts(key), toStored('benchmark', benchmark)],
  );
}
