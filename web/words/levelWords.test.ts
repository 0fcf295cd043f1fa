import { expect, it } from 'vitest';
import { levelWords } from './levelWords.ts';

it('a rating is told by the levels that it lies at or between', () => {
  // The levels are at 10, 30, 50, 70 and 90.
  expect(levelWords(3)).toBe('before first season');
  expect(levelWords(12)).toBe('first season level');
  expect(levelWords(40)).toBe('between regular and team');
  expect(levelWords(47)).toBe('team level');
  expect(levelWords(80)).toBe('between match and title');
  expect(levelWords(97)).toBe('above title');
});
