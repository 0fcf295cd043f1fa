import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { ago, clock, dayAndClock, longDay, monthName, shortDay } from './dates.ts';

/** Local times: a coach reads the clock on the wall. */
const at = (hour: number, minute: number) => new Date(2026, 10, 4, hour, minute).toISOString();

beforeEach(() => {
  vi.useFakeTimers();
  vi.setSystemTime(new Date(2026, 10, 24, 12, 0));
});
afterEach(() => vi.useRealTimers());

it('days and clocks are those of the place', () => {
  expect(shortDay(at(0, 5))).toBe('4 Nov');
  expect(clock(at(9, 5))).toBe('09:05');
  expect(dayAndClock(at(23, 59))).toBe('4 Nov, 23:59');
  expect(longDay('2026-11-04')).toBe('4 November 2026');
  expect(monthName('2025-01')).toBe('Jan 25');
});

it('how long ago something was is told roughly; what never was, as such', () => {
  expect(ago(new Date(2026, 10, 21, 12).toISOString())).toBe('3 days ago');
  expect(ago(new Date(2026, 10, 24, 9).toISOString())).toBe('3 hours ago');
  expect(ago(null)).toBe('never');
});
