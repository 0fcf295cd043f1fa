import { describe, expect, it } from 'vitest';
import { cueWords, squirtWords } from './cueWords.ts';

const cue = {
  name: 'Light',
  ownerId: null,
  weight: 520,
  length: null,
  tip: 'hard, 13 mm',
  shaft: '',
  endMass: null,
  squirtBy: null,
} as const;

describe('a cue in words', () => {
  it('is what is known of it', () => {
    expect(cueWords(cue)).toBe('520 g, tip: hard, 13 mm');
    expect(cueWords({ ...cue, weight: null, tip: '' })).toBe('');
    expect(squirtWords(cue)).toBe('');
  });

  it('squirts more with a heavier end, and says how that is known', () => {
    const angle = (endMass: number) =>
      Number(/squirts (\d+\.\d)°/.exec(squirtWords({ endMass, squirtBy: 'test' }))?.[1]);
    expect(angle(20)).toBeGreaterThan(angle(10));
    // 2.5·½·√¾ / (1 + 170/10 + 2.5·¾) = 0.0545: 3.1 degrees.
    expect(angle(10)).toBe(3.1);
    expect(squirtWords({ endMass: 10, squirtBy: 'measured' })).toContain('(measured)');
  });
});
