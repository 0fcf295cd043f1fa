import dayjs from 'dayjs';
import timezone from 'dayjs/plugin/timezone.js';
import utc from 'dayjs/plugin/utc.js';

dayjs.extend(utc);
dayjs.extend(timezone);

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

/**
 * The day of a time by the clock of a zone, as "2026-11-24".
 * @param at ISO 8601 or a date; @param zone as "Europe/Lisbon" @throws RangeError for a zone that nobody knows
 */
export function dayIn(at: string | Date, zone: string): string {
  return dayjs(at).tz(zone).format('YYYY-MM-DD');
}

/** No zone's clock is farther from UTC, hours. */
const FARTHEST_H = 14;

/** The month of a time by the clock of a zone, as "2026-11". @throws RangeError for a zone that nobody knows */
export function monthIn(at: Date, zone: string): string {
  const near = [-FARTHEST_H, FARTHEST_H].map((hours) => dayjs.utc(at).add(hours, 'hour').format('YYYY-MM'));
  // Asking a zone takes long: only near a month's end it makes a difference.
  return near[0] === near[1] && near[0] !== undefined ? near[0] : dayIn(at, zone).slice(0, 7);
}

/** 0 for a Monday to 6 for a Sunday. */
export function weekdayOf(day: string): number {
  return (dayjs.utc(day).day() + 6) % WEEK_DAYS;
}

/** The Monday of a day's week. */
export function mondayOf(day: string): string {
  return addDays(day, -weekdayOf(day));
}
