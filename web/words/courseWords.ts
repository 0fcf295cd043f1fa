import type { KindProgress } from '../../core/records/progress.ts';
import type { SkillRating } from '../../core/records/rating.ts';

const one = (value: number) => Math.abs(value).toFixed(1);

/** Where somebody goes, in a sentence with its interval: "Up by 1.2 points a week (0.4 to 2.0)". */
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
      return `A plateau, as far as the ${basis} tell.${back}`;
    case 'open':
      return `No direction is sure yet.${back}`;
    case 'up':
    case 'down': {
      const way = course === 'up' ? 'Up' : 'Down';
      if (slope === null) return `${way}.${back}`;
      const ends = [slope.low, slope.high].map((end) => (end === null ? undefined : one(end)));
      const [near, far] = course === 'up' ? ends : ends.toReversed();
      const interval = near === undefined || far === undefined ? '' : ` (${near} to ${far})`;
      return `${way} by ${one(slope.slope)} points a week${interval}.${back}`;
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
