import { afterEach, describe, expect, it, vi } from 'vitest';
import { boundsOfDay, dayOf, minutesSince, setClubZone, todayInClub } from './clubTime.ts';
import { clock, dayAndClock, shortDay } from './dates.ts';

afterEach(() => {
  setClubZone(null);
  vi.useRealTimers();
});

describe('the club’s clock', () => {
  it('tells a time as it was in the club, whatever the device’s zone', () => {
    // Auckland is 13 hours ahead in November, Los Angeles 8 behind.
    setClubZone('Pacific/Auckland');
    expect(dayAndClock('2026-11-24T18:30:00Z')).toBe('25 Nov, 07:30');
    expect(dayOf('2026-11-24T18:30:00Z')).toBe('2026-11-25');
    setClubZone('America/Los_Angeles');
    expect(clock('2026-11-24T03:30:00Z')).toBe('19:30');
    expect(shortDay('2026-11-24T03:30:00Z')).toBe('23 Nov');
  });

  it('knows the day on both sides of midnight', () => {
    vi.useFakeTimers({ now: new Date('2026-11-24T23:30:00Z') });
    setClubZone('UTC');
    expect(todayInClub()).toBe('2026-11-24');
    setClubZone('Europe/Athens');
    expect(todayInClub()).toBe('2026-11-25');
  });

  it('bounds a day that is an hour longer, when clocks are set back', () => {
    // Lisbon sets its clocks back on 25 October 2026.
    setClubZone('Europe/Lisbon');
    const { from, to } = boundsOfDay('2026-10-25');
    expect(from.toISOString()).toBe('2026-10-24T23:00:00.000Z');
    expect(to.toISOString()).toBe('2026-10-25T23:59:59.999Z');
  });

  it('counts the minutes of an evening by the clock on its wall', () => {
    vi.useFakeTimers({ now: new Date('2026-11-24T18:50:00Z') });
    setClubZone('Europe/Athens');
    expect(minutesSince('20:30')).toBe(20);
    expect(minutesSince('21:00')).toBe(-10);
  });
});
