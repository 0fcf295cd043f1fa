import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { mostPoints } from '../counting/bands.ts';
import { compareResults, type RoundResult } from '../counting/result.ts';
import { planShot } from '../drill/plannedShot.ts';
import { isPositionDrill } from '../drill/positionDrill.ts';
import { roundProgress } from '../drill/round.ts';
import { atStage } from '../drill/stage.ts';
import { mostTargetPoints } from '../drill/targets.ts';
import { LEVEL_NAMES, type LevelName } from '../player/levels.ts';
import { drillSchema, type Drill } from '../records/drill.ts';
import { benchmarkLevel } from '../scoring/benchmark.ts';
import { expectation } from '../statistics/distribution.ts';
import { buildTable } from '../table/table.ts';
import {
  canBePlayed,
  virtualRounds,
  wholeRound,
  type VirtualRound,
  type VirtualRounds,
} from './playRound.ts';

const read = (slug: string): Drill =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));

const planned = new Map<string, VirtualRounds>();

function play(drill: Drill, level: LevelName, seed: number, stage = 1): VirtualRound {
  const key = `${drill.slug} ${level} ${stage}`;
  const rounds =
    planned.get(key) ?? virtualRounds(drill, { stage, ladderStart: 0 }, buildTable(drill.table), level);
  planned.set(key, rounds);
  return wholeRound(rounds, seed);
}

describe('a round of a position drill by a virtual player', () => {
  const drill = read('harbour-turn');

  it('has the shots of the drill, and their sum', () => {
    let failed = 0;
    for (let seed = 1; seed <= 20; seed++) {
      const { attempts, result } = play(drill, 'regular', seed, 2);
      if (drill.scoring.method !== 'zone-points') throw new Error('not zone points');
      expect(attempts).toHaveLength(drill.scoring.shots);
      expect(result.value).toBe(attempts.reduce((sum, { points = NaN }) => sum + points, 0));
      expect(result.complete).toBe(true);
      // Whoever misses or loses the cue ball earns nothing by that shot.
      const without = attempts.filter(({ done }) => !done);
      expect(without.every(({ points }) => points === 0)).toBe(true);
      failed += without.length;
    }
    expect(failed).toBeGreaterThan(0);
  });

  it('is the same from the same seed and another from another', () => {
    // Planned and played anew, by nothing that remembers.
    const fresh = wholeRound(
      virtualRounds(drill, { stage: 1, ladderStart: 0 }, buildTable(drill.table), 'team'),
      3,
    );
    expect(fresh).toEqual(play(drill, 'team', 3));
    const values = Array.from({ length: 12 }, (_, i) => play(drill, 'team', i + 1).result.value);
    expect(new Set(values).size).toBeGreaterThan(1);
  });

  it('has the mean of the level’s benchmark, and grows with the level', () => {
    if (!isPositionDrill(drill)) throw new Error('harbour-turn is a position drill');
    const stage = drill.stages[1]!;
    const shot = planShot(drill, buildTable(drill.table));
    const rounds = 60;
    const means = LEVEL_NAMES.map((level) => {
      const played = Array.from({ length: rounds }, (_, i) => play(drill, level, i + 1, 2).result.value);
      const mean = played.reduce((sum, value) => sum + value, 0) / rounds;
      const benchmark = benchmarkLevel(drill, stage, shot, level, 99);
      const shots = rounds * drill.scoring.shots;
      // Four standard errors of the mean shot, which is worth at most the best band.
      const error = (4 * 0.5 * mostPoints(stage.bands) * drill.scoring.shots) / Math.sqrt(shots);
      expect(Math.abs(mean - expectation(benchmark.round))).toBeLessThan(error);
      return mean;
    });
    expect(means.at(-1)).toBeGreaterThan(means[0]!);
  });
});

const sum = (values: readonly number[]) => values.reduce((all, each) => all + each, 0);
const settings = <M extends Drill['scoring']['method']>({ scoring }: Drill, method: M) => {
  if (scoring.method !== method) throw new Error(`not ${method}`);
  return scoring as Extract<Drill['scoring'], { method: M }>;
};

/** What a round comes to, reckoned as a coach would on paper. */
const BY_HAND: Readonly<Record<string, (attempts: VirtualRound['attempts'], drill: Drill) => number>> = {
  'zone-points': (attempts) => sum(attempts.map(({ points = NaN }) => points)),
  'attempts-to-clear': (attempts) => attempts.length,
  'balls-made': (attempts) => sum(attempts.map(({ balls = NaN }) => balls)),
  lives: (attempts) => attempts.filter(({ done }) => !done).length,
  'ladder-by-racks': (attempts, drill) => {
    const { rungs, wins, of } = settings(drill, 'ladder-by-racks');
    let [passed, rung, won, lost] = [0, 0, 0, 0];
    for (const { done } of attempts) {
      if (done) won++;
      else lost++;
      if (won < wins && lost < of - wins + 1) continue;
      if (won < wins) break;
      passed = rungs[rung] ?? NaN;
      [rung, won, lost] = [rung + 1, 0, 0];
    }
    return passed;
  },
  'ladder-by-single': (attempts, drill) => {
    const { start, lowest, top, onMiss } = settings(drill, 'ladder-by-single');
    let [balls, best] = [start, 0];
    for (const { done } of attempts) {
      if (done) best = Math.max(best, balls);
      balls = done ? Math.min(top, balls + 1) : onMiss === 'down one' ? Math.max(lowest, balls - 1) : start;
    }
    return best;
  },
  'clear-or-restart': (attempts) => attempts.filter(({ done }) => done).length,
  'break-points': (attempts) => Math.max(...attempts.map(({ points = NaN }) => points)),
  'graded-contact': (attempts, drill) => {
    const { points } = settings(drill, 'graded-contact');
    return sum(attempts.map(({ grade }) => (grade === undefined ? NaN : points[grade])));
  },
  'success-rate': (attempts) => attempts.filter(({ done }) => done).length,
  kick: (attempts, drill) => {
    const { penalty, leaveCosts } = settings(drill, 'kick');
    return sum(
      attempts.map(({ kick }) => {
        if (kick === undefined) return NaN;
        const misses = kick.repeats + (kick.hit && kick.legal ? 0 : 1);
        return penalty * misses + leaveCosts[kick.leave];
      }),
    );
  },
  'break-score': (attempts, drill) => {
    const { weights, mostBalls, afterInOff } = settings(drill, 'break-score');
    return sum(
      attempts.map(({ opening }) => {
        if (opening === undefined) return NaN;
        const { balls, control, layout, inOff } = opening;
        const points =
          weights.balls * Math.min(balls, mostBalls) + weights.control * control + weights.layout * layout;
        return inOff ? points * afterInOff : points;
      }),
    );
  },
  streak: (attempts) =>
    Math.max(
      ...attempts
        .map(({ done }) => (done ? 'x' : ' '))
        .join('')
        .split(' ')
        .map((run) => run.length),
    ),
};

describe('a round of any other drill', () => {
  it.each([
    ['five-buoys', 'zone-points'],
    ['colours-home', 'attempts-to-clear'],
    ['harbour-rounds', 'balls-made'],
    ['moored', 'lives'],
    ['after-the-break', 'ladder-by-racks'],
    ['cast-and-clear', 'ladder-by-single'],
    ['tight-quarters', 'clear-or-restart'],
    ['three-red-break', 'break-points'],
    ['one-bounce', 'graded-contact'],
    ['frozen-pair', 'success-rate'],
    ['two-bounces', 'kick'],
    ['nine-firm', 'break-score'],
    ['double-two', 'streak'],
  ] as const)('%s goes to its end by its own method, %s', (slug, method) => {
    const drill = read(slug);
    expect(drill.scoring.method).toBe(method);
    const { attempts, result } = play(drill, 'regular', 5);
    expect(result.complete).toBe(true);
    expect(attempts.length).toBeGreaterThan(0);
    expect(result.value).toBe(BY_HAND[method]!(attempts, atStage(drill, 1)));
  });

  it('is better by a better player, over some rounds', () => {
    // Breaks take long to plan: their levels are held apart by the benchmarks that ship.
    for (const slug of ['harbour-rounds', 'one-bounce-side']) {
      // From one place: each station has to be planned.
      const drill = { ...read(slug), stations: undefined };
      const rounds = (level: LevelName) => [1, 2, 3].map((seed) => play(drill, level, seed).result);
      const worse = rounds('first season');
      const wins = rounds('title').filter((each, i) => compareResults(each, worse[i]!) < 0).length;
      expect([slug, wins]).toEqual([slug, 3]);
    }
  });

  it('of a clearance keeps to the order: who breaks it has not made the balls', () => {
    const drill = read('harbour-rounds');
    const { attempts } = play(drill, 'title', 2);
    const most = roundProgress(atStage(drill, 1), 1, attempts).result.maximum!;
    expect(attempts.every(({ balls = NaN }) => balls >= 0 && balls <= most)).toBe(true);
    const cleared = attempts.filter(({ done }) => done);
    expect(cleared.length).toBeGreaterThan(0);
    expect(cleared.every(({ balls }) => balls === most / attempts.length)).toBe(true);
  });

  it('on a ladder that begins higher never falls below the rung before it', () => {
    const ladder = read('after-the-break');
    if (ladder.scoring.method !== 'ladder-by-racks') throw new Error('after-the-break is a ladder');
    const { rungs } = ladder.scoring;
    const values = [0, 2].map((ladderStart) => {
      const rounds = virtualRounds(
        ladder,
        { stage: 1, ladderStart },
        buildTable(ladder.table),
        'first season',
      );
      return [1, 2].map((seed) => wholeRound(rounds, seed).result.value);
    });
    // A beginner loses two racks of the first rung, and has reached none; begun at the third, the second counts as passed.
    expect(Math.max(...values[0]!)).toBeLessThan(rungs[1]!);
    expect(Math.min(...values[1]!)).toBeGreaterThanOrEqual(rungs[1]!);
  });

  it('leaves calls to people', () => {
    const drill = read('in-or-out');
    expect(canBePlayed(drill)).toBe(false);
    expect(() => play(drill, 'team', 1)).toThrow(RangeError);
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
    const expected: Partial<RoundResult> = { value: 3, maximum: 20, complete: false, better: 'high' };
    expect(progress.result).toMatchObject(expected);
  });
});
