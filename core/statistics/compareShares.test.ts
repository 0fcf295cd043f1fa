import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { compareShares } from './compareShares.ts';
import { Z_90 } from './wilson.ts';

/** Two-sided quantile for 95 %, as the published example has it. */
const Z_95 = 1.959963984540054;

describe('two shares', () => {
  it('have the interval of the published example: 56 of 70 against 48 of 80', () => {
    // Newcombe 1998, table II, case (a), method 10: 0.0524 to 0.3339.
    const { difference, low, high } = compareShares({ made: 56, of: 70 }, { made: 48, of: 80 }, Z_95);
    expect(difference).toBeCloseTo(0.2, 12);
    expect(low).toBeCloseTo(0.0524, 4);
    expect(high).toBeCloseTo(0.3339, 4);
  });

  it('are decided when the interval leaves 0 out, and the other way round', () => {
    const [good, bad] = [
      { made: 40, of: 50 },
      { made: 20, of: 50 },
    ];
    expect(compareShares(good, bad, Z_90)).toMatchObject({ better: 'a', moreEach: 0 });
    expect(compareShares(bad, good, Z_90)).toMatchObject({ better: 'b' });
  });

  it('say about how many more tries decide them', () => {
    const open = compareShares({ made: 14, of: 25 }, { made: 11, of: 25 }, Z_90);
    expect(open.better).toBeUndefined();
    // z² (0.56·0.44 + 0.44·0.56) / 0.12² = 92.6 tries of each, 25 are there.
    expect(open.moreEach).toBe(68);
    const more = 25 + (open.moreEach ?? 0);
    const decided = compareShares(
      { made: Math.round(0.56 * more * 1.05), of: more },
      { made: Math.round(0.44 * more * 0.95), of: more },
      Z_90,
    );
    expect(decided.better).toBe('a');
    expect(compareShares({ made: 5, of: 10 }, { made: 5, of: 10 }, Z_90).moreEach).toBeUndefined();
  });

  it('cover the true difference in about nine of ten samples', () => {
    const random = createRandom(3);
    let covered = 0;
    const draw = (share: number, of: number) => {
      let made = 0;
      for (let i = 0; i < of; i++) if (random.uniform() < share) made++;
      return { made, of };
    };
    for (let sample = 0; sample < 2000; sample++) {
      const { low, high } = compareShares(draw(0.7, 30), draw(0.45, 40), Z_90);
      if (low <= 0.25 && 0.25 <= high) covered++;
    }
    expect(covered / 2000).toBeGreaterThan(0.87);
    expect(covered / 2000).toBeLessThan(0.94);
  });

  it('need tries', () => {
    expect(() => compareShares({ made: 0, of: 0 }, { made: 1, of: 2 }, Z_90)).toThrow('at least one try');
    expect(() => compareShares({ made: 3, of: 2 }, { made: 1, of: 2 }, Z_90)).toThrow('between 0 and of');
  });
});
