import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { parseBenchmarkTable } from '../records/benchmarkTable.ts';
import { drillSchema } from '../records/drill.ts';
import { expectation } from '../statistics/distribution.ts';
import { buildTable } from '../table/table.ts';
import { benchmarkParts, computePart } from './benchmarkRounds.ts';

const rows = parseBenchmarkTable(readFileSync('levels/benchmarks.jsonl', 'utf8'));

it.each([
  ['harbour-turn', 2],
  ['light-cue-ball', 1],
  ['back-down-the-slip', 2],
  ['soft-and-firm', 1],
] as const)('what ships of %s, stage %i, is what virtual players score today', (slug, stage) => {
  const row = rows.find((each) => each.drill === slug && each.stage === stage);
  const drill = drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
  const part = benchmarkParts(drill, stage).find(({ level }) => level === 'team');
  const level = row?.benchmark.levels.find((each) => each.level === 'team');
  if (part === undefined || level === undefined) throw new Error(`${slug} does not ship`);
  const result = computePart(drill, stage, buildTable(drill.table), part);
  if (result.kind === 'level') {
    // The same seed: the same shots, to the digits that are kept.
    expect(result.level.potted).toBeCloseTo(level.potted ?? NaN, 4);
    result.level.round.forEach((p, score) => {
      expect(Math.abs(p - (level.round[score] ?? NaN))).toBeLessThan(1e-4);
    });
  } else {
    // The first ten of its rounds lie about its mean.
    const mean = expectation(level.round);
    const spread = Math.sqrt(level.round.reduce((sum, p, score) => sum + p * (score - mean) ** 2, 0));
    const own = result.results.reduce((sum, { value }) => sum + value, 0) / result.results.length;
    expect(Math.abs(own - mean)).toBeLessThan((4 * spread) / Math.sqrt(result.results.length));
  }
});

it('no leave looks worse for being a better player’s: what kicks and safeties give away falls with the level', () => {
  const givenAway = rows.filter(({ benchmark }) => benchmark.better === 'low');
  expect(givenAway.length).toBeGreaterThan(5);
  for (const { drill, stage, benchmark } of givenAway) {
    const means = benchmark.levels.map(({ round }) => expectation(round));
    expect([drill, stage, (means[4] ?? NaN) < (means[0] ?? NaN)]).toEqual([drill, stage, true]);
  }
});
