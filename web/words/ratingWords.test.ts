import { expect, it } from 'vitest';
import { ratingWords } from './ratingWords.ts';

it('a rating is a level in a coach’s words, with how sure it is', () => {
  expect(ratingWords({ rating: 41.6, low: 34.6, high: 50.2 })).toBe(
    'Between regular and team: about 42, nine times in ten from 35 to 50.',
  );
  expect(ratingWords({ rating: 50, low: 44, high: 55 })).toBe(
    'Team level: about 50, nine times in ten from 44 to 55.',
  );
  expect(ratingWords({ rating: 2, low: 0, high: 9 })).toMatch(/^Before first season: about 2/);
});
