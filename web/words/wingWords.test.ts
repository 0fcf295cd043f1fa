import { describe, expect, it } from 'vitest';
import type { WingRecord } from '../../core/scoring/wingBall.ts';
import { diagnosisWords, wingRecordWords } from './wingWords.ts';

const record = (change: Partial<WingRecord> = {}): WingRecord => ({
  noted: 34,
  in: { share: 14 / 34, low: 0.28, high: 0.55 },
  misses: [
    { way: 'high', count: 15 },
    { way: 'low', count: 5 },
    { way: 'knocked away', count: 0 },
  ],
  tends: 'high',
  ...change,
});

describe('the wing ball in words', () => {
  it('is counted, those ways left out that it never went', () => {
    expect(wingRecordWords(record())).toBe(
      'The wing ball fell in 41 % (28 to 55) of 34; of the others 15 high, 5 low.',
    );
  });

  it('says what to look for, and how many misses that fits', () => {
    expect(diagnosisWords(record())).toMatch(
      /^It passes high: look for a gap on the far side.* 15 of 20 misses\.$/,
    );
    expect(diagnosisWords(record({ tends: 'low' }))).toMatch(/near side of the rack\. That fits 5 of 20/);
    expect(diagnosisWords(record({ tends: undefined }))).toBe('Its misses go no one way that is sure.');
    expect(diagnosisWords(record({ misses: [], tends: undefined }))).toBe('');
  });
});
