import { describe, expect, it } from 'vitest';
import type { Distribution } from '../statistics/distribution.ts';
import { nextDrills, stepShows, type DrillCandidate } from './nextDrill.ts';

/** Ten tries at a chance each: the binomial distribution. */
function tenTries(chance: number): Distribution {
  const choose = [1, 10, 45, 120, 210, 252, 210, 120, 45, 10, 1];
  return choose.map((n, k) => n * chance ** k * (1 - chance) ** (10 - k));
}
const teaching = [0.1, 0.3, 0.5, 0.7, 0.9].map(tenTries);
const easy = [0.97, 0.98, 0.985, 0.99, 0.995].map(tenTries);
const hard = [0, 0, 0, 0.01, 0.1].map(tenTries);

const candidate = (drill: string, change: Partial<DrillCandidate> = {}): DrillCandidate => ({
  drill,
  stage: 1,
  skills: ['potting'],
  levels: teaching,
  restDays: undefined,
  course: undefined,
  ...change,
});

describe('what a step of ten points shows', () => {
  it('is the change of the mean over the deviation, by hand', () => {
    // At 50 the chance is a half; ten points are a quarter of the way between levels of 0.3, 0.5 and 0.7: 1 hit of 10.
    expect(stepShows(teaching, 50)).toBeCloseTo(1 / Math.sqrt(10 * 0.25), 9);
  });

  it('is little where the drill is too easy or too hard', () => {
    for (const rating of [15, 35, 50, 65]) {
      expect(stepShows(easy, rating)).toBeLessThan(0.2);
      expect(stepShows(hard, rating)).toBeLessThan(0.2);
      expect(stepShows(teaching, rating)).toBeGreaterThan(0.5);
    }
  });
});

describe('the next drill', () => {
  const ratings = [
    { skill: 'potting', rating: 30, low: 22, high: 38 },
    { skill: 'cue-ball control', rating: 60, low: 52, high: 68 },
  ] as const;

  it('trains the skill that lies behind', () => {
    const ranked = nextDrills(
      [candidate('control', { skills: ['cue-ball control'] }), candidate('pots')],
      ratings,
    );
    expect(ranked.map(({ drill }) => drill)).toEqual(['pots', 'control']);
    expect(ranked[0]).toMatchObject({ skill: 'potting', behind: 15, isSurelyBehind: true });
  });

  it('is not said to lie behind by an interval that reaches beyond the mean, and counts less for it', () => {
    const [known, vague] = [8, 40].map((half) => {
      const [first] = nextDrills(
        [candidate('pots')],
        [{ skill: 'potting', rating: 30, low: 30 - half, high: 30 + half }, ratings[1]],
      );
      if (first === undefined) throw new Error('there is one candidate');
      return first;
    });
    expect(known?.isSurelyBehind).toBe(true);
    expect(vague?.isSurelyBehind).toBe(false);
    expect(vague?.score ?? NaN).toBeLessThan(known?.score ?? NaN);
  });

  it('is one in which getting better would show, not one that is too easy or too hard', () => {
    const ranked = nextDrills(
      [candidate('easy', { levels: easy }), candidate('hard', { levels: hard }), candidate('right')],
      ratings,
    );
    expect(ranked[0]?.drill).toBe('right');
  });

  it('is not the one of yesterday, nor one that has come to a plateau', () => {
    const ranked = nextDrills(
      [
        candidate('yesterday', { restDays: 1 }),
        candidate('plateau', { restDays: 30, course: 'plateau' }),
        candidate('rested', { restDays: 20, course: 'up' }),
      ],
      ratings,
    );
    expect(ranked[0]?.drill).toBe('rested');
  });

  it('names each drill once, by its best stage, and lets other skills come before the third of one', () => {
    const ranked = nextDrills(
      [
        candidate('a', { stage: 1, levels: easy }),
        candidate('a', { stage: 2 }),
        candidate('b'),
        candidate('c'),
        candidate('control', { skills: ['cue-ball control'], restDays: 0, levels: easy }),
      ],
      ratings,
    );
    expect(ranked.map(({ drill, stage }) => `${drill} ${stage}`)).toEqual(['a 2', 'b 1', 'control 1', 'c 1']);
  });

  it('of somebody who has never played is one whose skill is unknown', () => {
    const [first] = nextDrills([candidate('a'), candidate('b', { levels: undefined })], []);
    expect(first).toMatchObject({ drill: 'a', behind: undefined });
  });
});
