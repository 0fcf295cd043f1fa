import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { benchmarkLine, parseBenchmarkTable } from '../../core/records/benchmarkTable.ts';
import { listLibrary } from '../db/queries/drills.ts';
import { createTestApp } from '../testing/club.ts';
import { readShippedBenchmarks, storeShippedBenchmarks } from './shipped.ts';

it('the benchmarks that ship are there from the first minute, once, and those of another text are not', async () => {
  const club = await createTestApp();
  try {
    const library = await listLibrary(club.pool);
    const rows = await readShippedBenchmarks('levels');
    const [first] = rows;
    if (first === undefined) throw new Error('none ships');
    const strange = { ...first, digest: 'f'.repeat(64) };
    const old = { ...first, levelVersion: 1 };
    expect(await storeShippedBenchmarks(club.pool, library, [strange, old])).toBe(0);
    expect(await storeShippedBenchmarks(club.pool, library, rows)).toBe(rows.length);
    expect(await storeShippedBenchmarks(club.pool, library, rows)).toBe(0);
  } finally {
    await club.close();
  }
});

it('a line of the table keeps what was computed to four digits, and its shares sum to one', () => {
  const text = readFileSync('levels/benchmarks.jsonl', 'utf8');
  const rows = parseBenchmarkTable(text);
  const again = parseBenchmarkTable(rows.map(benchmarkLine).join('\n'));
  let furthest = 0;
  rows.forEach(({ benchmark }, i) => {
    benchmark.levels.forEach(({ round }, level) => {
      expect(round.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9);
      const other = again[i]?.benchmark.levels[level]?.round ?? [];
      round.forEach((p, score) => {
        furthest = Math.max(furthest, Math.abs(p - (other[score] ?? NaN)) / Math.max(p, 1e-12));
      });
    });
  });
  expect(furthest).toBeLessThan(1e-4);
  expect(() => parseBenchmarkTable(text.replace('"levels"', '"level"'))).toThrow();
});
