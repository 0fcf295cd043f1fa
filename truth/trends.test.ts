import { expect, it } from 'vitest';
import { trends } from './trends.ts';

it('where players go is told of those whose way is known, as often as is said, and never against itself', () => {
  const figures = new Map(trends({ seed: 402, size: 0.15 }).map(({ name, value }) => [name, value]));
  // A sixth of the players: the shares scatter by some per cent.
  const limits: readonly (readonly [name: string, least: number, most: number])[] = [
    ['trends.flat-moves', 0, 10],
    ['trends.rise-seen', 78, 100],
    ['trends.fall-seen', 78, 100],
    ['trends.plateau', 72, 100],
    ['trends.comeback-false', 0, 5],
    ['trends.comeback', 80, 100],
    ['trends.comeback-stays', 0, 5],
    ['trends.contradictions', 0, 0],
  ];
  const broken = limits.filter(([name, least, most]) => {
    const value = figures.get(name) ?? NaN;
    return !(value >= least && value <= most);
  });
  expect(broken, JSON.stringify([...figures])).toEqual([]);
});
