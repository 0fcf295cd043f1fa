import dayjs, { type Dayjs } from 'dayjs';
import timezone from 'dayjs/plugin/timezone';
import utc from 'dayjs/plugin/utc';

dayjs.extend(utc);
dayjs.extend(timezone);

/** The club's clock: a coach on a journey sees an evening when it was in the club. */

/** Zone of the clock; that of the device where the club has settled none. */
let zone: string | undefined;

/** Says by which clock times are told from now on. @param next as "Europe/Lisbon"; null for the device's own */
export function setClubZone(next: string | null): void {
  zone = next ?? undefined;
}

/** The zone of the device's own clock. */
export function deviceZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}

/** A time by the club's clock. */
export function inClub(at: string | number | Date = Date.now()): Dayjs {
  return zone === undefined ? dayjs(at) : dayjs(at).tz(zone);
}

/** The day of a time, as "2026-11-24". */
export function dayOf(at: string | number | Date): string {
  return inClub(at).format('YYYY-MM-DD');
}

/** The day that it is, as "2026-11-24". */
export function todayInClub(): string {
  return dayOf(Date.now());
}

/** When a day begins and when it is over. @param day as "2026-11-24" */
export function boundsOfDay(day: string): { readonly from: Dayjs; readonly to: Dayjs } {
  const from = (zone === undefined ? dayjs(day) : dayjs.tz(day, zone)).startOf('day');
  return { from, to: from.endOf('day') };
}

/** Minutes since a time of today. @param clock as "18:30" */
export function minutesSince(clock: string): number {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  const now = inClub();
  return now.hour() * 60 + now.minute() - (hours * 60 + minutes);
}
