import { describe, expect, it } from 'vitest';
import { bestBreakWords, effectWords, recordedWords, wingWords } from './breakStudyWords.ts';

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

  it('is told of the best of a map, with why, and whether others may be as good', () => {
    const share = (of: number) => ({ share: of, low: of, high: of });
    const cell = {
      from: { x: 0.6, y: 0.318 },
      speed: 7,
      study: {
        made: share(0.81),
        back: share(0.7),
        next: 0.5,
        inOff: share(0),
        near: { in: 0.9, high: 0.1, low: 0, 'knocked away': 0, short: 0 },
      },
      worth: 0.4,
      error: 0.05,
    };
    const map = { cells: [cell], columns: 1, best: 0, asGood: 0 };
    expect(bestBreakWords(map, 'nine')).toMatch(
      /^Best: 7\.0 m\/s from 318 mm off the right: a ball down in 81\s%, the next pot 50\s%, .* No other is as good\.$/,
    );
    expect(bestBreakWords({ ...map, asGood: 3 }, 'reds')).toMatch(
      /the cue ball back in 70\s%, the opponent’s best pot 50\s%\. 3 others may be as good/,
    );
    expect(bestBreakWords({ ...map, cells: [] }, 'nine')).toBe('');
  });

  it('is told of a recording with its error, or that it cannot be told', () => {
    const told = { kind: 'told', speed: 7.13, low: 6.93, high: 7.33, tip: 0.5, rack: 0.7 } as const;
    expect(recordedWords(told)).toBe('7.1 m/s (6.9 to 7.3 in 95 of 100 cases)');
    expect(recordedWords({ kind: 'cannot tell', why: 'nothing heard' })).toMatch(/^Cannot tell: no knock/);
    expect(recordedWords({ kind: 'cannot tell', why: 'several pairs' })).toMatch(
      /^Cannot tell: it is not clear/,
    );
  });
});
