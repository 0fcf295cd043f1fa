import { expect, it } from 'vitest';
import { ratings } from './ratings.ts';

it('ratings of players who are known, steady or not, lie in their intervals as often as is said', () => {
  const figures = ratings({ seed: 401, size: 0.25 });
  // A quarter of the players: the shares scatter by two or three per cent.
  const missed = figures.filter(
    ({ name, unit, value }) =>
      unit === '% inside' && (value < 79 || (name.startsWith('ratings.steady') && value > 98)),
  );
  expect(missed).toEqual([]);
});
