import { describe, expect, it } from 'vitest';
import type { Difficulty } from '../judgement/kinds.ts';
import { LEVEL_NAMES, ratingOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import type { CallLevelRow } from '../records/callLevels.ts';
import { LEVEL_GRID } from '../statistics/levelFilter.ts';
import { CallLevels, rising } from './callLevels.ts';
import { rateJudgement, type RatedCall } from './judgementRating.ts';

const row = (difficulty: Difficulty, scores: number[], positions = 40): CallLevelRow => ({
  kind: 'does it pass',
  game: 'pool',
  difficulty,
  modelVersion: 'any',
  levelVersion: 1,
  positions,
  scores,
});
const LEVELS = new CallLevels([
  row('plain', [0.6, 0.72, 0.84, 0.9, 0.95]),
  row('close', [0.3, 0.4, 0.55, 0.65, 0.75]),
]);
const call = (day: number, score: number, difficulty: Difficulty = 'plain'): RatedCall => ({
  day,
  score,
  kind: 'does it pass',
  game: 'pool',
  difficulty,
});

describe('means that never fall', () => {
  it('take neighbours together that do, and leave the others', () => {
    expect(rising([0.2, 0.5, 0.9])).toEqual([0.2, 0.5, 0.9]);
    expect(rising([0.2, 0.6, 0.4, 0.9])).toEqual([0.2, 0.5, 0.5, 0.9]);
    expect(rising([3, 2, 1])).toEqual([2, 2, 2]);
  });

  it('are the nearest such means to what was given, of all on a fine grid', () => {
    const given = [0.5, 0.2, 0.7, 0.3];
    const offBy = (means: readonly number[]) =>
      means.reduce((sum, each, i) => sum + (each - (given[i] ?? 0)) ** 2, 0);
    let least = Infinity;
    const steps = Array.from({ length: 21 }, (_, i) => i / 20);
    for (const a of steps)
      for (const b of steps.filter((each) => each >= a))
        for (const c of steps.filter((each) => each >= b))
          for (const d of steps.filter((each) => each >= c)) least = Math.min(least, offBy([a, b, c, d]));
    expect(offBy(rising(given))).toBeLessThanOrEqual(least + 1e-12);
  });
});

describe('what a level calls', () => {
  it('never falls with the level, is lower where it is harder, and is told of what virtual players called only', () => {
    const expected = (difficulty: Difficulty | undefined) =>
      LEVELS.expected({ kind: 'does it pass', game: 'pool', difficulty }) ?? [];
    const [plain, close, any] = [expected('plain'), expected('close'), expected(undefined)];
    for (let i = 1; i < LEVEL_GRID.length; i++) expect(plain[i]).toBeGreaterThanOrEqual(plain[i - 1] ?? 1);
    for (const i of LEVEL_GRID.keys()) {
      expect(plain[i]).toBeGreaterThan(close[i] ?? 1);
      // Of a difficulty that nobody knows, what is between them.
      expect(any[i]).toBeLessThan(plain[i] ?? 0);
      expect(any[i]).toBeGreaterThan(close[i] ?? 1);
    }
    expect(LEVELS.expected({ kind: 'does it pass', game: 'snooker', difficulty: 'plain' })).toBeUndefined();
    expect(rateJudgement([{ ...call(1, 1), kind: 'pot or safe' }], LEVELS, 1)).toBeUndefined();
  });
});

describe('judgement', () => {
  it('is the higher the more calls are right, and the harder those were', () => {
    const of = (right: number, difficulty: Difficulty) =>
      rateJudgement(
        Array.from({ length: 40 }, (_, i) => call(Math.floor(i / 10), i % 10 < right ? 1 : 0, difficulty)),
        LEVELS,
        4,
      )?.rating ?? NaN;
    expect(of(6, 'plain')).toBeLessThan(of(8, 'plain'));
    expect(of(6, 'plain') + 15).toBeLessThan(of(6, 'close'));
  });

  it('holds the level of a player who calls as a level does in about nine of ten intervals', () => {
    const random = createRandom(9);
    let held = 0;
    const players = 200;
    for (let player = 0; player < players; player++) {
      const level = ratingOf(LEVEL_NAMES[player % LEVEL_NAMES.length] ?? 'team');
      const at = LEVEL_GRID.indexOf(level);
      const calls = Array.from({ length: 60 }, (_, i) => {
        const difficulty = i % 2 === 0 ? 'plain' : 'close';
        const share = LEVELS.expected({ kind: 'does it pass', game: 'pool', difficulty })?.[at] ?? NaN;
        return call(3 * Math.floor(i / 6), random.uniform() < share ? 1 : 0, difficulty);
      });
      const rating = rateJudgement(calls, LEVELS, 30);
      if (rating !== undefined && rating.low <= level && level <= rating.high) held++;
    }
    expect(held / players).toBeGreaterThan(0.83);
  });
});
