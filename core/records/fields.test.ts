import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day, instant, isDay, isInstant, isSlug, isUuid, uuid } from './fields.ts';

describe('an instant', () => {
  it.each([
    '2026-11-24T12:00:00Z',
    '2024-02-29T23:59:59.999Z',
    '1900-01-01T00:00:00Z',
    '2200-12-31T23:59:59.9Z',
  ])('%s is one', (text) => expect(isInstant(text)).toBe(true));

  it.each([
    '2026-13-01T00:00:00Z',
    '2026-02-29T00:00:00Z',
    '2026-11-31T00:00:00Z',
    '2026-00-10T00:00:00Z',
    '0000-00-00T00:00:00Z',
    '9999-99-99T99:99:99Z',
    '2026-11-24T24:00:00Z',
    '2026-11-24T12:60:00Z',
    '2026-11-24T12:00:61Z',
    '1899-12-31T23:59:59Z',
    '2201-01-01T00:00:00Z',
    '2026-11-24',
    '2026-11-24T12:00:00',
    '2026-11-24T12:00:00+01:00',
    '',
    'soon',
  ])('%s is none', (text) => expect(isInstant(text)).toBe(false));

  it('is every one that JavaScript writes between the years that are kept (seed 14)', () => {
    const range = {
      min: new Date('1900-01-01T00:00:00Z'),
      max: new Date('2200-12-31T23:59:59Z'),
      noInvalidDate: true,
    };
    fc.assert(
      fc.property(fc.date(range), (at) => {
        expect(isInstant(at.toISOString())).toBe(true);
        expect(isDay(at.toISOString().slice(0, 10))).toBe(true);
      }),
      { seed: 14 },
    );
  });
});

describe('a day', () => {
  it('is one of the calendar: every date from 1900 to 2200 by its numbers, and no other (seed 15)', () => {
    const number = (max: number) => fc.integer({ min: 0, max });
    fc.assert(
      fc.property(number(2_300), number(14), number(33), (year, month, date) => {
        const two = (n: number) => String(n).padStart(2, '0');
        const leap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
        const lengths = [31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
        const there = year >= 1900 && year <= 2200 && date >= 1 && date <= (lengths[month - 1] ?? 0);
        expect(isDay(`${String(year).padStart(4, '0')}-${two(month)}-${two(date)}`)).toBe(there);
      }),
      { seed: 15, numRuns: 2_000 },
    );
  });
});

describe('the rules of fields', () => {
  it('are those of addresses: an id that one takes the other takes', () => {
    for (const text of [
      '3f2b8c1e-9a4d-4c7b-8e21-0123456789ab',
      '00000000-0000-0000-0000-000000000000',
      'ffffffff-ffff-ffff-ffff-ffffffffffff',
      '3F2B8C1E-9A4D-4C7B-8E21-0123456789AB',
      '3f2b8c1e-9a4d-4c7b-0e21-0123456789ab',
      'x',
    ]) {
      expect(uuid().isValidSync(text)).toBe(isUuid(text));
    }
    expect(isUuid('3f2b8c1e-9a4d-4c7b-8e21-0123456789ab')).toBe(true);
    expect(isUuid('00000000-0000-0000-0000-000000000000')).toBe(false);
  });

  it('say nothing of what may be missing', () => {
    expect(instant().nullable().defined().isValidSync(null)).toBe(true);
    expect(day().nullable().defined().isValidSync(null)).toBe(true);
    expect(instant().isValidSync(null)).toBe(false);
  });

  it('take names of drills in small letters, digits and hyphens', () => {
    expect(['harbour-turn', 'x', '9-ball'].every(isSlug)).toBe(true);
    expect(['', 'Ä', 'a b', 'a/b', '../x', 'x'.repeat(61)].some(isSlug)).toBe(false);
  });
});
