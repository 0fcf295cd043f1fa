import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { planShot, type PlannedShot } from '../drill/plannedShot.ts';
import { isPositionDrill, type PositionDrill } from '../drill/positionDrill.ts';
import { atStage } from '../drill/stage.ts';
import { landingCloud } from '../planning/cloud.ts';
import { executionErrorAt } from '../player/levels.ts';
import { createRandom, type Random } from '../random/random.ts';
import { drillSchema } from '../records/drill.ts';
import type { Distribution } from '../statistics/distribution.ts';
import { buildTable } from '../table/table.ts';
import { benchmarkDrill } from './benchmark.ts';
import { rateRounds, type RatedRound } from './rating.ts';
import { zonePoints } from './zonePoints.ts';

interface Station {
  readonly drill: PositionDrill;
  readonly stage: number;
  readonly plan: PlannedShot;
  readonly levels: readonly Distribution[];
}

function station(slug: string, stage: number): Station {
  const text: unknown = JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'));
  const drill = atStage(drillSchema.validateSync(text), stage);
  const set = drill.stages[stage - 1];
  if (!isPositionDrill(drill) || set === undefined) throw new Error(slug);
  const plan = planShot(drill, buildTable(drill.table));
  return { drill, stage, plan, levels: benchmarkDrill(drill, set, plan, 5).levels.map(({ round }) => round) };
}

/** Points of single shots by a player who is not at one of the five levels, played out. */
function shotsAt({ drill, stage, plan }: Station, rating: number, seed: number): readonly number[] {
  const error = executionErrorAt(rating, plan.shot.table.preset.game);
  const bands = drill.stages[stage - 1]?.bands ?? [];
  const task = { object: drill.task.pot, pocket: drill.task.pocket };
  return landingCloud(plan.shot, task, error, 1_200, seed).map(({ outcome, landing }) =>
    zonePoints(outcome, landing, plan.window, bands),
  );
}

function pick<T>(values: readonly T[], random: Random): T {
  const value = values[Math.floor(random.uniform() * values.length)];
  if (value === undefined) throw new Error('nothing to pick');
  return value;
}

describe('a rating', () => {
  const stations = [
    station('harbour-turn', 2),
    station('anchor-drop', 2),
    station('back-to-the-quay', 2),
    station('long-pier', 1),
  ];

  it('lies in its 90 % interval for 171 to 190 of 200 players whose level is known, whatever they play', () => {
    const random = createRandom(77);
    const ratings = Array.from({ length: 10 }, (_, i) => 14 + 8 * i);
    const played = new Map(
      ratings.map((rating, i) => [rating, stations.map((each, k) => shotsAt(each, rating, 100 * i + k))]),
    );
    let inside = 0;
    let width = 0;
    for (let player = 0; player < 200; player++) {
      const truth = pick(ratings, random);
      // Some play one drill alone, others a mix; some a few rounds, others many, over up to four months.
      const mix = stations.map((_, i) => i).filter((i) => i === player % 4 || random.uniform() < 0.5);
      const rounds = Array.from({ length: 4 + Math.floor(24 * random.uniform()) }, (): RatedRound => {
        const k = pick(mix, random);
        const shots = played.get(truth)?.[k] ?? [];
        const score = Array.from({ length: 10 }, () => pick(shots, random)).reduce(
          (sum, each) => sum + each,
          0,
        );
        return { day: 120 * random.uniform(), score, levels: stations[k]?.levels ?? [] };
      });
      const rating = rateRounds(rounds, 120);
      if (rating === undefined) throw new Error('no rating');
      if (rating.low <= truth && truth <= rating.high) inside++;
      width += (rating.high - rating.low) / 200;
    }
    expect(inside).toBeGreaterThanOrEqual(171);
    expect(inside).toBeLessThanOrEqual(190);
    // An interval that always holds the truth would be worth nothing.
    expect(width).toBeLessThan(25);
  });

  const [first] = stations;
  const roundAt = (score: number, day = 0): RatedRound => ({ score, day, levels: first?.levels ?? [] });

  it('is wide after one round and narrow after twenty', () => {
    const width = (n: number) => {
      const rating = rateRounds(
        Array.from({ length: n }, () => roundAt(15)),
        0,
      );
      return (rating?.high ?? 0) - (rating?.low ?? 0);
    };
    expect(width(1)).toBeGreaterThan(1.5 * width(20));
    expect(width(1)).toBeGreaterThan(20);
  });

  it('follows the recent rounds: after half a year the old ones hardly count', () => {
    const weak = Array.from({ length: 12 }, () => roundAt(6, 0));
    const strong = Array.from({ length: 6 }, () => roundAt(27, 180));
    const before = rateRounds(weak, 0)?.rating ?? 0;
    const after = rateRounds([...weak, ...strong], 180)?.rating ?? 0;
    const alone = rateRounds(strong, 180)?.rating ?? 0;
    expect(after).toBeGreaterThan(before + 20);
    expect(alone - after).toBeLessThan(15);
  });

  it('is none without a round, and refuses a round without its levels', () => {
    expect(rateRounds([], 0)).toBeUndefined();
    expect(() => rateRounds([{ day: 0, score: 1, levels: [] }], 0)).toThrow('five levels');
  });
});
