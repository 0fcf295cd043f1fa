import dayjs from 'dayjs';
import utc from 'dayjs/plugin/utc.js';

dayjs.extend(utc);

/** Days of a calendar as "2026-11-24", without hours or time zones. */

export const WEEK_DAYS = 7;

/** Days since 1970. @throws RangeError for a text that is no day */
export function dayNumber(day: string): number {
  const at = dayjs.utc(day);
  if (!at.isValid()) throw new RangeError(`dayNumber: ${day} is no day`);
  return at.diff(dayjs.utc('1970-01-01'), 'day');
}

/** The day so many days later, or earlier for a negative number. @throws RangeError for a text that is no day */
export function addDays(day: string, days: number): string {
  const at = dayjs.utc(day);
  if (!at.isValid()) throw new RangeError(`addDays: ${day} is no day`);
  return at.add(days, 'day').format('YYYY-MM-DD');
}

/** 0 for a Monday to 6 for a Sunday. */
export function weekdayOf(day: string): number {
  return (dayjs.utc(day).day() + 6) % WEEK_DAYS;
}

/** The Monday of a day's week. */
export function mondayOf(day: string): string {
  return addDays(day, -weekdayOf(day));
}
