import { expect, it } from 'vitest';
import { CONDITIONS } from '../../core/records/drill.ts';
import { brokenWords } from './brokenWords.ts';

it('a broken condition is told by what happened, each in its own words, in both vocabularies', () => {
  expect(brokenWords('no cushion', 'pool')).toBe('touched a rail');
  expect(brokenWords('no cushion', 'snooker')).toBe('touched a cushion');
  expect(brokenWords('no plants or doubles', 'pool')).toBe('by a combination or a bank');
  expect(brokenWords('no rest', 'snooker')).toBe('used the rest');
  for (const vocabulary of ['pool', 'snooker'] as const) {
    const told = CONDITIONS.map((condition) => brokenWords(condition, vocabulary));
    expect(new Set(told).size).toBe(CONDITIONS.length);
    // Never the condition itself: that is what was kept.
    for (const condition of CONDITIONS) expect(told).not.toContain(condition);
  }
});
