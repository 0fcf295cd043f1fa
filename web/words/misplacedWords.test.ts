import { expect, it } from 'vitest';
import { besideWords } from './misplacedWords.ts';

const off = (...balls: readonly string[]) => balls.map((ball) => ({ ball, off: 0.04 }));

it('balls that are set wrong are told one by one, and of many how many more there are', () => {
  expect(besideWords([])).toEqual([]);
  expect(besideWords([{ ball: 'cue', off: undefined }, ...off('2')])).toEqual([
    'The cue ball is not seen.',
    'The 2 lies 4 cm beside its place.',
  ]);
  expect(besideWords(off('1', '2', '3', '4')).slice(3)).toEqual(['One more is not in its place.']);
  expect(besideWords(off('1', '2', '3', '4', '5', '6')).slice(3)).toEqual([
    '3 more are not in their places.',
  ]);
});
