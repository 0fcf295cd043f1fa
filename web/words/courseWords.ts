import type { KindProgress } from '../../core/records/progress.ts';
import type { SkillRating } from '../../core/records/rating.ts';

const one = (value: number) => Math.abs(value).toFixed(1);

/** Whether a course is sure: all of its slope's interval lies on its side. */
export function isSure({ course, slope }: Pick<SkillRating, 'course' | 'slope'>): boolean {
  if (slope === null) return false;
  if (course === 'up') return slope.low !== null && slope.low > 0;
  return course === 'down' && slope.high !== null && slope.high < 0;
}

/**
 * Where somebody goes, in a sentence: "Gets better, by 1.2 points a week (0.4 to 2.0)." Said only where it is sure; else
 * "Seems to get better, not surely yet."
 */
export function courseWords({
  course,
  slope,
  comeback,
  basis = 'rounds',
}: Pick<SkillRating, 'course' | 'slope' | 'comeback'> & Partial<Pick<SkillRating, 'basis'>>): string {
  const back = comeback ? ' Back near the best after a slump.' : '';
  switch (course) {
    case 'too few':
      return `Too few ${basis} to say where it goes.${back}`;
    case 'plateau':
      return `Stays where it is, as far as the ${basis} tell.${back}`;
    case 'open':
      return `Goes neither way surely yet.${back}`;
    case 'up':
    case 'down': {
      const way = course === 'up' ? 'better' : 'worse';
      if (slope === null || !isSure({ course, slope })) return `Seems to get ${way}, not surely yet.${back}`;
      const ends = [slope.low, slope.high].map((end) => (end === null ? undefined : one(end)));
      const [near, far] = course === 'up' ? ends : ends.toReversed();
      const interval = near === undefined || far === undefined ? '' : ` (${near} to ${far})`;
      return `Gets ${way}, by ${one(slope.slope)} points a week${interval}.${back}`;
    }
  }
}

/** Where a drill goes: its course on the scale of ratings, and the streak. */
export function kindCourseWords(
  kind: Pick<KindProgress, 'course' | 'slope' | 'comeback' | 'streak'>,
): string {
  const { streak } = kind;
  const row =
    streak < 2 ? '' : ` ${streak} rounds in a row above the median of the five before each of them.`;
  return `${courseWords(kind)}${row}`;
}
