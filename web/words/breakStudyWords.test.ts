import { describe, expect, it } from 'vitest';
import { effectWords, wingWords } from './breakStudyWords.ts';

describe('what becomes of balls at a break', () => {
  it('is told by how much more or less often they fall, three at most', () => {
    const balls = [
      { place: 7, change: -0.82 },
      { place: 5, change: 0.124 },
      { place: 0, change: 0.1 },
      { place: 1, change: 0.07 },
    ];
    expect(effectWords({ between: [0, 1], balls })).toBe(
      'ball 8 falls 82 times less, ball 6 12 times more, ball 1 10 times more',
    );
  });

  it('is told of a wing ball by its ends, the likeliest first, those that never happen left out', () => {
    const words = wingWords({ in: 0.07, high: 0.86, low: 0.07, 'knocked away': 0.001, short: 0 });
    expect(words).toMatch(/^high 86\s%, in 7\s%, low 7\s%$/);
  });
});
