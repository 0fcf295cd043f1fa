import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import { LEVELS } from '../../core/player/levels.ts';
import { isSure } from '../words/courseWords.ts';
import type { SkillRating } from '../../core/records/rating.ts';

/** Somebody who has not played for so long is looked after, days. */
const AWAY_DAYS = 21;
const DAY_MS = 86_400_000;
/** Whoever stays here is not stuck: there is little above. */
const HIGH = LEVELS.find(({ name }) => name === 'match')?.rating ?? 100;

/** What a coach sees first of a player, the most pressing of several. */
export type Standing =
  | 'not practised'
  | 'stuck'
  | 'holds a high level'
  | 'improves'
  | 'comes back'
  | 'falls back'
  | 'on their way'
  | 'new';

/** @param now ms since 1970 */
export function standingOf({ ratings, up, plateaus, rounds, lastAt }: PlayerOverview, now: number): Standing {
  if (lastAt === null || rounds === 0) return 'new';
  if (now - Date.parse(lastAt) > AWAY_DAYS * DAY_MS) return 'not practised';
  const courses = ratings.map(({ course }) => course);
  const falling = ratings.filter(({ course }) => course === 'down');
  if (falling.length > 0) {
    // Whoever has won a slump back is not told of the slump.
    return falling.every(({ comeback }) => comeback) ? 'comes back' : 'falls back';
  }
  // Only what is sure is said of somebody; a drill or two do not make a player better.
  if (ratings.some((rating) => rating.course === 'up' && isSure(rating))) return 'improves';
  const resting = ratings.filter(({ course }) => course === 'plateau');
  if (resting.length > 0 && resting.every(({ rating }) => rating >= HIGH)) return 'holds a high level';
  if (resting.length > 0 || (plateaus > up && !courses.includes('up'))) return 'stuck';
  return 'on their way';
}

/** Where a rating surely goes; both arrows where a slump was won back. */
export function arrowOf({
  course,
  slope,
  comeback,
}: Pick<SkillRating, 'course' | 'slope' | 'comeback'>): string {
  if (course === 'down') return comeback ? '↘↗' : isSure({ course, slope }) ? '↘' : '';
  if (course === 'up') return isSure({ course, slope }) ? '↗' : '';
  return course === 'plateau' ? '→' : '';
}

/** "2 due, 1 of 3 done this week"; nothing for somebody without a programme. */
export function weekWords({ planned, done, due }: PlayerOverview['week']): string {
  if (planned === 0) return '';
  const open = due === 0 ? '' : `${due} due, `;
  return `${open}${done} of ${planned} done this week`;
}
