import { describe, expect, it } from 'vitest';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import type { Course } from '../../core/scoring/course.ts';
import { courseOf } from '../testing/courses.ts';
import { readLibrary } from '../testing/library.ts';
import { meanWords } from './meanWords.ts';

function courseBy(method: string): Course {
  const drill = readLibrary().find(({ scoring }) => scoring.method === method);
  if (drill === undefined) throw new Error(`nothing is counted by ${method}`);
  return courseOf(drill.slug);
}
const attempts = (...counted: readonly Partial<StoredAttempt['counted']>[]) =>
  counted.map((each) => ({ counted: { done: false, ...each } }));

describe('the mean beside a result', () => {
  it('is that of the visits at snooker, with what was given away', () => {
    const course = courseBy('break-points');
    expect(meanWords(course, [])).toBeUndefined();
    expect(meanWords(course, attempts({ points: 8 }, { points: 15 }))).toBe('mean 11.5');
    expect(meanWords(course, attempts({ points: 8, penalty: 4 }, { points: 1, penalty: 7 }))).toBe(
      'mean 4.5, gave away 11',
    );
  });

  it('is the sum over the attempts where a sum is counted', () => {
    expect(meanWords(courseBy('zone-points'), attempts({ points: 3 }, { points: 0 }, { points: 2 }))).toBe(
      'mean 1.7',
    );
  });

  it('is not there where a method has none', () => {
    expect(meanWords(courseBy('success-rate'), attempts({ done: true }))).toBeUndefined();
  });
});
