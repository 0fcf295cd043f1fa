import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { RoundResult } from '../counting/result.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { drillSchema } from '../records/drill.ts';
import { benchmarkScore, meanMargin, placeRound, scoreBands } from '../scoring/benchmark.ts';
import { expectation, sumOfDraws } from '../statistics/distribution.ts';
import { buildTable } from '../table/table.ts';
import { benchmarkParts, computePart, joinParts, ROUNDS_PER_LEVEL } from './benchmarkRounds.ts';
import { virtualRounds, wholeRound } from './playRound.ts';

const read = (slug: string) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));

const tries = (value: number, censored = false): RoundResult => ({
  value,
  unit: 'tries',
  better: 'low',
  maximum: 1,
  complete: !censored,
  censored,
});

function fail(): never {
  throw new Error('not there');
}

describe('a benchmark in parts', () => {
  const drill = read('frozen-pair');
  const table = buildTable(drill.table);

  it('plays every level two hundred rounds of different seeds, all levels early', () => {
    const parts = benchmarkParts(drill, 1);
    for (const name of LEVEL_NAMES) {
      const seeds = parts.filter(({ level }) => level === name).flatMap((part) => part.seeds);
      expect(new Set(seeds).size).toBe(ROUNDS_PER_LEVEL);
    }
    expect(parts.slice(0, 5).map(({ level }) => level)).toEqual([...LEVEL_NAMES]);
    expect(benchmarkParts(read('harbour-turn'), 1).map(({ seeds }) => seeds)).toEqual([[], [], [], [], []]);
  });

  it('is the share of each score among the rounds that were played, in whatever order the parts come', () => {
    const parts = benchmarkParts(drill, 1).slice(0, 10);
    const planned = new Map(
      LEVEL_NAMES.map((level) => [level, virtualRounds(drill, { stage: 1, ladderStart: 0 }, table, level)]),
    );
    const done = parts.map((part) => ({
      part,
      result: computePart(drill, 1, table, part, () => planned.get(part.level) ?? fail()),
    }));
    expect(computePart(drill, 1, table, parts[0] ?? fail())).toEqual(done[0]?.result);
    const benchmark = joinParts(done);
    expect(joinParts([...done].reverse())).toEqual(benchmark);
    expect(benchmark).toMatchObject({ executions: 20, wholeRounds: true });
    const rounds = planned.get('match') ?? fail();
    const played = parts
      .filter(({ level }) => level === 'match')
      .flatMap(({ seeds }) => seeds.map((seed) => wholeRound(rounds, seed).result.value));
    const own = benchmark.levels.find(({ level }) => level === 'match');
    expect(expectation(own?.round ?? [])).toBeCloseTo(
      played.reduce((sum, value) => sum + value, 0) / played.length,
      9,
    );
    expect(new Set(benchmark.levels.map(({ round }) => round.length)).size).toBe(1);
    expect(() => joinParts(done.filter(({ part }) => part.level !== 'team'))).toThrow(RangeError);
  });

  it('counts a round that was given up as one worse than where it was cut off', () => {
    expect([tries(3), tries(5, true)].map(benchmarkScore)).toEqual([3, 6]);
    expect(benchmarkScore({ ...tries(4, true), better: 'high' })).toBe(4);
    expect(benchmarkScore({ ...tries(-2), better: 'high' })).toBe(0);
  });
});

describe('a benchmark where fewer is better', () => {
  // Level by level fewer tries: 6, 5, 4, 3, 2 for certain.
  const levels = LEVEL_NAMES.map((level, i) => ({
    level,
    potted: null,
    round: Array.from({ length: 8 }, (_, value) => (value === 6 - i ? 1 : 0)),
  }));
  const benchmark = { executions: 200, wholeRounds: true, unit: 'tries', better: 'low', levels } as const;

  it('places three tries at match and says that two would be title', () => {
    const placed = placeRound(3, { ...benchmark, levels });
    expect(placed).toMatchObject({ reached: 'match', next: 'title', of: 'match', percentile: 50 });
    expect(placeRound(7, { ...benchmark, levels })).toMatchObject({ reached: undefined, percentile: 0 });
  });

  it('has bands from the most tries down to none without a gap', () => {
    const bands = scoreBands({ ...benchmark, levels }, 10);
    expect(bands.map(({ from, to }) => [from, to])).toEqual([
      [5.5, 10],
      [4.5, 5.5],
      [3.5, 4.5],
      [2.5, 3.5],
      [0, 2.5],
    ]);
  });
});

describe('the margin of a mean', () => {
  it('is that of the standard error of whole rounds, or of the shots that a round is made of', () => {
    const shot = [0.25, 0, 0.75];
    const round = [...sumOfDraws(shot, 10)];
    // Points of one shot: 2 with 3/4, so variance 4·3/16.
    const variance = (4 * 3) / 16;
    const single = { executions: 2_000, wholeRounds: false };
    expect(meanMargin(single, round, 10)).toBeCloseTo(1.6449 * 10 * Math.sqrt(variance / 2_000), 4);
    const whole = { executions: 200, wholeRounds: true };
    expect(meanMargin(whole, round, 1)).toBeCloseTo(1.6449 * Math.sqrt((10 * variance) / 200), 4);
  });
});
