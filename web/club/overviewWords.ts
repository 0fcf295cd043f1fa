import type { PlayerOverview } from '../../core/records/clubOverview.ts';
import type { SkillRating } from '../../core/records/rating.ts';

/** Somebody who has not played for so long is looked after, days. */
const AWAY_DAYS = 21;
const DAY_MS = 86_400_000;

/** What a coach sees first of a player, the most pressing of several. */
export type Standing =
  'not practised' | 'stuck' | 'improves' | 'comes back' | 'falls back' | 'on their way' | 'new';

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
  if (courses.includes('up')) return 'improves';
  if (courses.includes('plateau') || plateaus > up) return 'stuck';
  return up > 0 ? 'improves' : 'on their way';
}

/** Where a rating surely goes; both arrows where a slump was won back. */
export function arrowOf({ course, comeback }: Pick<SkillRating, 'course' | 'comeback'>): string {
  if (course === 'down') return comeback ? '↘↗' : '↘';
  return course === 'up' ? '↗' : course === 'plateau' ? '→' : '';
}

/** "2 due, 1 of 3 done this week"; nothing for somebody without a programme. */
export function weekWords({ planned, done, due }: PlayerOverview['week']): string {
  if (planned === 0) return '';
  const open = due === 0 ? '' : `${due} due, `;
  return `${open}${done} of ${planned} done this week`;
}
