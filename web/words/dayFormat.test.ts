import { expect, it } from 'vitest';
import { dayFormat, firstWeekday, readDay } from './dayFormat.ts';

it('a day is written as the language writes it', () => {
  expect(dayFormat('en-GB')).toBe('DD/MM/YYYY');
  expect(dayFormat('en-US')).toBe('MM/DD/YYYY');
  expect(dayFormat('de-DE')).toBe('DD.MM.YYYY');
  expect(dayFormat('sv-SE')).toBe('YYYY-MM-DD');
});

it('a day is read as the language writes it, with or without zeros, and in words; what is no day is not', () => {
  expect(readDay('3/4/2026', 'en-GB')).toBe('2026-04-03');
  expect(readDay('3/4/2026', 'en-US')).toBe('2026-03-04');
  expect(readDay('03.04.26', 'de-DE')).toBe('2026-04-03');
  expect(readDay('3 4 2026', 'en-GB')).toBe('2026-04-03');
  expect(readDay('2026-04-03', 'en-GB')).toBe('2026-04-03');
  expect(readDay('3 April 2026', 'en-GB')).toBe('2026-04-03');
  for (const none of ['', 'soon', '31/2/2026', '12/2026']) expect(readDay(none, 'en-GB')).toBeUndefined();
});

it('every day of a year comes back from how it is written', () => {
  for (const language of ['en-GB', 'en-US', 'de-DE', 'fr-FR', 'sv-SE', 'nl-NL']) {
    const written = new Intl.DateTimeFormat(language, { day: '2-digit', month: '2-digit', year: 'numeric' });
    for (let day = 1; day <= 366; day++) {
      const at = new Date(2028, 0, day);
      const iso = `2028-${String(at.getMonth() + 1).padStart(2, '0')}-${String(at.getDate()).padStart(2, '0')}`;
      expect(readDay(written.format(at), language)).toBe(iso);
    }
  }
});

it('a week begins where the language begins it', () => {
  expect(firstWeekday('en-GB')).toBe(1);
  expect([0, 1]).toContain(firstWeekday('en-US'));
});
