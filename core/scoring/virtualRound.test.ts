import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { mostPoints } from '../counting/bands.ts';
import { planShot } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import { roundProgress } from '../drill/round.ts';
import { mostTargetPoints } from '../drill/targets.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { drillSchema } from '../records/drill.ts';
import { expectation } from '../statistics/distribution.ts';
import { buildTable } from '../table/table.ts';
import { benchmarkLevel } from './benchmark.ts';
import { playVirtualRound } from './virtualRound.ts';

const read = (slug: string) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
const drill = read('harbour-turn');
if (!isPositionDrill(drill)) throw new Error('harbour-turn is a position drill');
const stage = drill.stages[1]!;
const planned = planShot(drill, buildTable(drill.table));

describe('a round by a virtual player', () => {
  it('has the shots of the drill, and their sum', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const round = playVirtualRound(drill, stage, planned, 'regular', seed);
      expect(round.shots).toHaveLength(drill.scoring.shots);
      expect(round.points).toBe(round.shots.reduce((sum, { points }) => sum + points, 0));
      expect(round.points).toBeLessThanOrEqual(round.maximum);
      // Whoever misses or loses the cue ball earns nothing by that shot.
      for (const { outcome, points } of round.shots) if (outcome !== 'potted') expect(points).toBe(0);
    }
  });

  it('is the same from the same seed and another from another; the means do not hang on it', () => {
    const play = (seed: number) => playVirtualRound(drill, stage, planned, 'team', seed);
    expect(play(3)).toEqual(play(3));
    const rounds = Array.from({ length: 12 }, (_, i) => play(i + 1));
    expect(new Set(rounds.map(({ points }) => points)).size).toBeGreaterThan(1);
    expect(new Set(rounds.map(({ mean }) => mean)).size).toBe(1);
  });

  it('has the mean and the pots of the level’s benchmark, and grows with the level', () => {
    const means = LEVEL_NAMES.map((level) => {
      const { mean, potted } = playVirtualRound(drill, stage, planned, level, 1);
      const benchmark = benchmarkLevel(drill, stage, planned, level, 99);
      // 400 shots against 2,000: four standard errors of the smaller sample, a shot being worth at most the best band.
      const error = (4 * 0.5 * mostPoints(stage.bands) * drill.scoring.shots) / Math.sqrt(400);
      expect(Math.abs(mean - expectation(benchmark.round))).toBeLessThan(error);
      expect(Math.abs(potted - benchmark.potted)).toBeLessThan((4 * 0.5) / Math.sqrt(400));
      return mean;
    });
    expect(means.at(-1)).toBeGreaterThan(means[0]!);
  });
});

describe('a drill of landing in targets', () => {
  const buoys = read('five-buoys');

  it('gives at most what its best ring gives, shot by shot', () => {
    expect(mostTargetPoints(buoys.targets)).toBe(2);
    expect(mostTargetPoints([])).toBe(0);
    expect(mostTargetPoints([{ kind: 'cushion', side: 'foot', from: 0, to: 1 }])).toBe(0);
    const progress = roundProgress(buoys, 1, [
      { done: true, points: 2 },
      { done: true, points: 1 },
      { done: false, points: 0 },
    ]);
    expect(progress.result).toMatchObject({ value: 3, maximum: 20, complete: false, better: 'high' });
  });
});
