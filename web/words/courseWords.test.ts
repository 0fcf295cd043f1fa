import { expect, it } from 'vitest';
import { courseWords, kindCourseWords } from './courseWords.ts';

const slope = { slope: 1.24, low: 0.41, high: 2 };

it.each([
  ['up', slope, false, 'Gets better, by 1.2 points a week (0.4 to 2.0).'],
  ['down', { slope: -0.8, low: -1.5, high: -0.2 }, false, 'Gets worse, by 0.8 points a week (0.2 to 1.5).'],
  [
    'up',
    { ...slope, high: null },
    true,
    'Gets better, by 1.2 points a week. Back near the best after a slump.',
  ],
  ['up', { slope: 0.6, low: -0.2, high: 1.4 }, false, 'Seems to get better, not surely yet.'],
  ['down', { slope: -0.6, low: -1.4, high: 0.1 }, false, 'Seems to get worse, not surely yet.'],
  ['up', null, false, 'Seems to get better, not surely yet.'],
  ['plateau', slope, false, 'Stays where it is, as far as the rounds tell.'],
  ['open', slope, false, 'Goes neither way surely yet.'],
  ['too few', null, false, 'Too few rounds to say where it goes.'],
] as const)('a course in words: %s', (course, of, comeback, words) => {
  expect(courseWords({ course, slope: of, comeback })).toBe(words);
});

it('a drill tells its streak beside its course', () => {
  const kind = { course: 'up', slope, comeback: false, streak: 3 } as const;
  expect(kindCourseWords(kind)).toBe(
    'Gets better, by 1.2 points a week (0.4 to 2.0). 3 rounds in a row above the median of the five before each of them.',
  );
  expect(kindCourseWords({ ...kind, streak: 1 })).toBe('Gets better, by 1.2 points a week (0.4 to 2.0).');
});
