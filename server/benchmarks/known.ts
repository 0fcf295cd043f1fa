import { LRUCache } from 'lru-cache';
import type { Benchmark } from '../../core/records/benchmark.ts';
import { findBenchmarks, storeBenchmark, type BenchmarkKey } from '../db/queries/benchmarks.ts';
import { epochChanges, epochOf } from '../db/epochs.ts';
import type { Database } from '../db/pool.ts';

/** One that is not there may come, from another server too: that it was not is remembered for so long. */
const MISSING_MS = 20_000;

/** A benchmark never changes under its key, so every process may keep those it was asked for. */
function newMemory() {
  return {
    known: new LRUCache<string, Benchmark>({ max: 1_000 }),
    missing: new LRUCache<string, true>({ max: 5_000, ttl: MISSING_MS }),
    epochChanges: epochChanges(),
  };
}

/** What is known of each database that this process speaks to. */
const memories = new WeakMap<Database, ReturnType<typeof newMemory>>();

function memoryOf(db: Database) {
  const memory = memories.get(db) ?? newMemory();
  memories.set(db, memory);
  if (memory.epochChanges !== epochChanges()) {
    memory.missing.clear();
    memory.epochChanges = epochChanges();
  }
  return memory;
}

/** Tells keys apart. */
export function textOf(key: BenchmarkKey): string {
  return `${Object.values(key).join('|')}|${String(epochOf(key.owner))}`;
}

/** The kept benchmarks of some keys, by textOf; what is not known here is asked for in one query. */
export async function knownBenchmarks(
  db: Database,
  keys: readonly BenchmarkKey[],
): Promise<ReadonlyMap<string, Benchmark>> {
  const { known, missing } = memoryOf(db);
  const asked = new Map(keys.map((key) => [textOf(key), key]));
  const unknown = [...asked].filter(([text]) => !known.has(text) && !missing.has(text));
  if (unknown.length > 0) {
    const found = await findBenchmarks(
      db,
      unknown.map(([, key]) => key),
    );
    for (const { key, benchmark } of found) known.set(textOf(key), benchmark);
    for (const [text] of unknown) if (!known.has(text)) missing.set(text, true);
  }
  return new Map(
    [...asked.keys()].flatMap((text) => {
      const benchmark = known.get(text);
      return benchmark === undefined ? [] : [[text, benchmark] as const];
    }),
  );
}

/** Keeps a benchmark; this process knows of it at once. */
export async function keepBenchmark(db: Database, key: BenchmarkKey, benchmark: Benchmark): Promise<void> {
  await storeBenchmark(db, key, benchmark);
  memoryOf(db).missing.delete(textOf(key));
}
