import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { wilson } from '../statistics/wilson.ts';
import { rateJudgement } from './judgementRating.ts';

describe('judgement', () => {
  it('of one evening is the share of right calls with Wilson’s interval', () => {
    const calls = [1, 1, 0, 1, 0].map((score) => ({ day: 100, score }));
    const rating = rateJudgement(calls, 100);
    const known = wilson(3, 5);
    expect(rating?.rating).toBeCloseTo(60, 9);
    expect(rating?.low).toBeCloseTo(100 * known.low, 9);
    expect(rating?.high).toBeCloseTo(100 * known.high, 9);
    expect(rateJudgement([], 100)).toBeUndefined();
  });

  it('of calls that get better is nearer the newer ones, and wider than the number of calls would say', () => {
    const calls = Array.from({ length: 40 }, (_, i) => ({ day: 6 * i, score: i < 20 ? 0 : 1 }));
    const rating = rateJudgement(calls, 240);
    expect(rating?.rating).toBeGreaterThan(70);
    expect((rating?.high ?? 0) - (rating?.low ?? 0)).toBeGreaterThan(
      100 * (wilson(30, 40).high - wilson(30, 40).low),
    );
  });

  it('holds the true share in about nine of ten intervals', () => {
    const random = createRandom(9);
    let held = 0;
    for (let player = 0; player < 300; player++) {
      const share = 0.3 + 0.5 * random.uniform();
      const calls = Array.from({ length: 30 }, (_, i) => ({
        day: 3 * i,
        score: random.uniform() < share ? 1 : 0,
      }));
      const rating = rateJudgement(calls, 90);
      if (rating !== undefined && rating.low <= 100 * share && 100 * share <= rating.high) held++;
    }
    expect(held).toBeGreaterThan(255);
    expect(held).toBeLessThan(291);
  });
});
