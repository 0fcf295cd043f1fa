import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { parseBenchmarkTable, type BenchmarkTableRow } from '../../core/records/benchmarkTable.ts';
import { standardCard, tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint } from '../../core/table/table.ts';
import { digestOf } from '../drills/library.ts';
import { findBenchmarks, storeBenchmark } from '../db/queries/benchmarks.ts';
import type { StoredDrill } from '../db/queries/drills.ts';
import { inTransaction, type DatabasePool } from '../db/pool.ts';
import { textOf } from './known.ts';
import { benchmarkKey } from './queue.ts';

/** The table of benchmarks that ships. @param folder where its file lies */
export async function readShippedBenchmarks(folder: string): Promise<readonly BenchmarkTableRow[]> {
  return parseBenchmarkTable(await readFile(path.join(folder, 'benchmarks.jsonl'), 'utf8'));
}

/**
 * Brings the benchmarks that ship into the database, so that every drill has its levels on the table that it was written for
 * from the first minute. What belongs to another text of a drill, or to other versions of physics and levels, is left.
 * @returns how many were new
 */
export async function storeShippedBenchmarks(
  pool: DatabasePool,
  library: readonly StoredDrill[],
  rows: readonly BenchmarkTableRow[],
): Promise<number> {
  const digests = new Map(library.map((entry) => [entry.document.slug, digestOf(entry.document)]));
  const wanted = rows.flatMap((row) => {
    const entry = library.find(({ document }) => document.slug === row.drill);
    const isCurrent =
      digests.get(row.drill) === row.digest &&
      row.modelVersion === MODEL_VERSION &&
      row.levelVersion === LEVEL_TABLE_VERSION;
    if (entry === undefined || !isCurrent) return [];
    const fingerprint = tableFingerprint(tableOfCard(standardCard(row.table), null));
    return [
      {
        key: benchmarkKey(entry, { stage: row.stage, ladderStart: 0 }, fingerprint),
        benchmark: row.benchmark,
      },
    ];
  });
  const found = await findBenchmarks(
    pool,
    wanted.map(({ key }) => key),
  );
  const there = new Set(found.map(({ key }) => textOf(key)));
  const missing = wanted.filter(({ key }) => !there.has(textOf(key)));
  await inTransaction(pool, async (db) => {
    for (const { key, benchmark } of missing) await storeBenchmark(db, key, benchmark);
  });
  return missing.length;
}
