import { describe, expect, it } from 'vitest';
import { blockAt } from './blocks.ts';

describe('blocks that alternate', () => {
  it('give as many attempts to either part, in turn', () => {
    expect(Array.from({ length: 9 }, (_, k) => blockAt(k + 1, 2).part).join('')).toBe('AABBAABBA');
    expect(Array.from({ length: 4 }, (_, k) => blockAt(k + 1, 1).part).join('')).toBe('ABAB');
    for (const size of [1, 2, 3, 5]) {
      const parts = Array.from({ length: 8 * size }, (_, k) => blockAt(k + 1, size).part);
      expect(parts.filter((part) => part === 'A')).toHaveLength(4 * size);
    }
  });

  it('count within a block, and say when the other one is next', () => {
    expect([1, 2, 3, 4, 5, 6, 7].map((attempt) => blockAt(attempt, 3).within)).toEqual([1, 2, 3, 1, 2, 3, 1]);
    for (let attempt = 1; attempt < 30; attempt++) {
      const [here, next] = [blockAt(attempt, 4), blockAt(attempt + 1, 4)];
      expect(here.last).toBe(here.part !== next.part);
    }
  });
});
