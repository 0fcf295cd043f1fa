import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { progressIn, ratingOfScore, type ProgressPoint } from './progress.ts';

const over = (ratings: readonly number[], every = 4): ProgressPoint[] =>
  ratings.map((rating, i) => ({ day: i * every, rating }));
const noisy = (n: number, at: (i: number) => number, seed: number, noise = 4) => {
  const random = createRandom(seed);
  return over(Array.from({ length: n }, (_, i) => at(i) + noise * random.normal()));
};

describe('a player’s course', () => {
  it('is up or down when the slope surely is, and open when it is not', () => {
    // Two points a week for three months.
    expect(progressIn(noisy(22, (i) => 30 + (2 * 4 * i) / 7, 1))).toMatchObject({ course: 'up' });
    expect(progressIn(noisy(22, (i) => 70 - (2 * 4 * i) / 7, 2))).toMatchObject({ course: 'down' });
    expect(progressIn(noisy(8, () => 50, 3, 8)).course).toBe('open');
  });

  it('is a plateau only after six rounds and six weeks, and when the slope surely is small', () => {
    const flat = Array.from({ length: 12 }, (_, i) => 50 + (i % 2 === 0 ? 1 : -1));
    expect(progressIn(over(flat)).course).toBe('plateau');
    expect(progressIn(over(flat.slice(0, 5), 14)).course).toBe('too few');
    // The same in twelve days says nothing yet.
    expect(progressIn(over(flat, 1)).course).toBe('open');
  });

  it('has its slope in rating points a week', () => {
    // Two points a week over half a year; a slope that is flat most of the time is taken for a little less.
    const { slope } = progressIn(noisy(45, (i) => 20 + (2 * 4 * i) / 7, 5));
    expect(slope?.slope).toBeGreaterThan(1.6);
    expect(slope?.slope).toBeLessThan(2.2);
    expect(slope?.low).toBeGreaterThan(0);
    expect(slope?.high).toBeLessThan(3.5);
    expect(progressIn([{ day: 3, rating: 40 }])).toMatchObject({ course: 'too few', slope: undefined });
  });

  it('is told for however many rounds of however few weeks: a hundred and sixty in one, or in three', () => {
    const within = (days: number, climb: number): ProgressPoint[] =>
      Array.from({ length: 160 }, (_, i) => ({ day: (days * i) / 160, rating: 40 + (climb * i) / 160 }));
    expect(progressIn(within(6, 0)).slope?.slope).toBeCloseTo(0, 1);
    // All on one day: there is no time over which to rise.
    expect(progressIn(within(0, 8))).toMatchObject({ course: 'too few', slope: undefined });
    expect(progressIn(within(21, 7)).slope?.slope).toBeGreaterThan(1);
    expect(progressIn(within(70, 20))).toMatchObject({ course: 'up' });
    expect(Math.abs((progressIn(within(70, 20)).slope?.slope ?? 0) - 2)).toBeLessThan(0.5);
  });

  it('calls a comeback after a slump, and none without one', () => {
    const slump = [60, 61, 60, 62, 60, 45, 44, 46, 43, 45, 58, 61, 60, 62, 61];
    expect(progressIn(over(slump)).comeback).toBe(true);
    expect(progressIn(over(slump.slice(0, 10))).comeback).toBe(false);
    expect(progressIn(over(Array.from({ length: 15 }, (_, i) => 40 + i))).comeback).toBe(false);
  });

  it('counts the rounds at the end that beat the five before them', () => {
    expect(progressIn(over([50, 50, 50, 50, 50, 40, 55, 56, 57])).streak).toBe(3);
    expect(progressIn(over([50, 50, 50, 50, 50, 40])).streak).toBe(0);
    expect(progressIn(over([50, 60])).streak).toBe(0);
  });
});

describe('a score on the scale of ratings', () => {
  /** Each level always scores its own: 2, 6, 10, 14 and 18 of 20. */
  const levels = [2, 6, 10, 14, 18].map((at) =>
    Array.from({ length: 21 }, (_, score) => Number(score === at)),
  );

  it('is the level’s rating at its expected score, straight between them, and goes on beyond', () => {
    expect([2, 6, 10, 14, 18].map((score) => ratingOfScore(score, levels))).toEqual([10, 30, 50, 70, 90]);
    expect(ratingOfScore(8, levels)).toBe(40);
    expect(ratingOfScore(0, levels)).toBe(0);
    expect(ratingOfScore(20, levels)).toBe(100);
  });

  it('is the middle where two levels score alike', () => {
    const alike = [0, 0, 10, 14, 18].map((at) =>
      Array.from({ length: 21 }, (_, score) => Number(score === at)),
    );
    expect(ratingOfScore(0, alike)).toBe(20);
  });
});
