import dayjs from 'dayjs';
import relativeTime from 'dayjs/plugin/relativeTime';
import { inClub } from './clubTime.ts';

dayjs.extend(relativeTime);

/** "3 days ago". @param at ISO 8601, or null for never */
export function ago(at: string | null): string {
  return at === null ? 'never' : dayjs(at).fromNow();
}

/** "24 Nov". */
export function shortDay(at: string | number): string {
  return inClub(at).format('D MMM');
}

/** "19:40". */
export function clock(at: string): string {
  return inClub(at).format('HH:mm');
}

/** "24 Nov, 19:40". */
export function dayAndClock(at: string): string {
  return inClub(at).format('D MMM, HH:mm');
}

/** "Nov 25", of a month as "2025-11". */
export function monthName(month: string): string {
  return dayjs(`${month}-01`).format('MMM YY');
}

/** "Tuesday 24 November", of a day as "2026-11-24". */
export function spokenDay(day: string): string {
  return dayjs(day).format('dddd D MMMM');
}

/** "24 November 2026". */
export function longDay(at: string): string {
  return inClub(at).format('D MMMM YYYY');
}
