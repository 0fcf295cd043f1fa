import { mean } from '../../core/statistics/summary.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import { progressOf, type Course } from '../../core/scoring/course.ts';

const digits = (value: number) => String(Math.round(10 * value) / 10);

/**
 * What stands beside the result of a round by a method that has a mean: "mean 15.3, gave away 8"; undefined for another
 * method, or before anything is scored.
 */
export function meanWords(
  course: Course,
  attempts: readonly Pick<StoredAttempt, 'counted'>[],
): string | undefined {
  if (attempts.length === 0) return undefined;
  const { scoring } = course.counting.drill;
  switch (scoring.method) {
    case 'break-points': {
      const all = attempts.slice(0, scoring.visits).map(({ counted }) => counted);
      const given = all.reduce((sum, { penalty }) => sum + (penalty ?? 0), 0);
      const average = `mean ${digits(mean(all.map(({ points }) => points ?? 0)))}`;
      return given === 0 ? average : `${average}, gave away ${given}`;
    }
    case 'zone-points':
    case 'graded-contact':
    case 'break-score':
    case 'kick':
    case 'balls-made': {
      const { result } = progressOf(course, attempts);
      return `mean ${digits(result.value / attempts.length)}`;
    }
    case 'attempts-to-clear':
    case 'lives':
    case 'ladder-by-racks':
    case 'ladder-by-single':
    case 'clear-or-restart':
    case 'success-rate':
    case 'call-it':
    case 'streak':
      return undefined;
  }
}
