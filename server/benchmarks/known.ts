import { LRUCache } from 'lru-cache';
import type { Benchmark } from '../../core/records/benchmark.ts';
import { findBenchmark, type BenchmarkKey } from '../db/queries/benchmarks.ts';
import type { Database } from '../db/pool.ts';

/** A benchmark never changes under its key, so every process may keep those it was asked for; one not there may come. */
const known = new LRUCache<string, Benchmark>({ max: 500 });

/** The kept benchmark, read and checked once. */
export async function knownBenchmark(db: Database, key: BenchmarkKey): Promise<Benchmark | undefined> {
  const text = Object.values(key).join('|');
  const kept = known.get(text);
  if (kept !== undefined) return kept;
  const benchmark = await findBenchmark(db, key);
  if (benchmark !== undefined) known.set(text, benchmark);
  return benchmark;
}
