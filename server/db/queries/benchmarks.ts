import type { RowDataPacket } from 'mysql2/promise';
import { benchmarkSchema, type Benchmark } from '../../../core/records/benchmark.ts';
import { parseJson } from '../json.ts';
import type { Database } from '../pool.ts';

/** Everything that a benchmark depends on. */
export interface BenchmarkKey {
  /** Whose text the drill is: see LIBRARY. */
  readonly owner: string;
  readonly drill: string;
  readonly revision: number;
  readonly stage: number;
  readonly tableFingerprint: string;
  readonly modelVersion: string;
  readonly levelVersion: number;
}

interface BenchmarkRow extends RowDataPacket {
  document: unknown;
}

function parts(key: BenchmarkKey): (string | number)[] {
  return [
    key.owner,
    key.drill,
    key.revision,
    key.stage,
    key.tableFingerprint,
    key.modelVersion,
    key.levelVersion,
  ];
}

export async function findBenchmark(db: Database, key: BenchmarkKey): Promise<Benchmark | undefined> {
  const [rows] = await db.execute<BenchmarkRow[]>(
    `SELECT document FROM benchmarks WHERE owner = ? AND drill = ? AND revision = ? AND stage = ?
       AND table_fingerprint = ? AND model_version = ? AND level_version = ?`,
    parts(key),
  );
  return rows[0] && benchmarkSchema.validate(parseJson(rows[0].document));
}

/** Keeps a benchmark; one that is already there stays. */
export async function storeBenchmark(db: Database, key: BenchmarkKey, benchmark: Benchmark): Promise<void> {
  await db.execute(
    `INSERT IGNORE INTO benchmarks
       (owner, drill, revision, stage, table_fingerprint, model_version, level_version, document)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
    [...parts(key), JSON.stringify(benchmark)],
  );
}
