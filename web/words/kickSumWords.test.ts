import { describe, expect, it } from 'vitest';
import { replaysWords } from './kickWords.ts';
import { driftWords, kickGroupWords } from './kickSumWords.ts';
import { interval } from './units.ts';

describe('a player’s kicks in words', () => {
  it('are named by cushions and distance, in either vocabulary', () => {
    expect(kickGroupWords('1', 'cushions', 'pool')).toBe('1 rail');
    expect(kickGroupWords('2', 'cushions', 'snooker')).toBe('2 cushions');
    expect(kickGroupWords('any', 'cushions', 'pool')).toBe('any way');
    expect(kickGroupWords('far', 'distance', 'pool')).toBe('farther');
    expect(kickGroupWords('none', 'side', 'pool')).toBe('no english');
    expect(kickGroupWords('left', 'side', 'snooker')).toBe('left side');
    expect(kickGroupWords('not said', 'side', 'pool')).toBe('not said');
    expect(interval({ share: 0.616, low: 0.5, high: 0.7 })).toBe('62 % (50 to 70)');
  });

  it('tell where called misses go, where that is known', () => {
    expect(driftWords({ misses: 0, drift: undefined })).toBe('');
    expect(driftWords({ misses: 1, drift: undefined })).toBe('1 miss was called.');
    expect(driftWords({ misses: 12, drift: { way: 'left', count: 7, told: 9 } })).toBe(
      '12 misses were called; they go left (7 of 9 that were told).',
    );
    expect(driftWords({ misses: 5, drift: { way: 'short', count: 5, told: 5 } })).toContain(
      'they stop short',
    );
  });

  it('say at the table what they cost so far, and what to change', () => {
    expect(replaysWords({ misses: 1, points: 4, drift: undefined })).toBe(
      'This round: 1 miss called, 4 points given away.',
    );
    expect(replaysWords({ misses: 4, points: 0, drift: { way: 'right', count: 4, told: 4 } })).toBe(
      'This round: 4 misses called. They go right (4 of 4): bring the cue ball farther to the left.',
    );
  });
});
