import { describe, expect, it } from 'vitest';
import type { ProgrammeDocument, ProgrammeItem } from '../records/programme.ts';
import { addDays, dayIn, mondayOf, monthIn, weekdayOf } from './days.ts';
import { countDone, donePlanned, isTickable } from './donePlanned.ts';
import { beforeMatches, copyProgramme, spreadBlock } from './spreadBlock.ts';

let number = 0;
const newId = () => `00000000-0000-4000-8000-${String(++number).padStart(12, '0')}`;

const empty: ProgrammeDocument = {
  title: 'Autumn',
  playerId: newId(),
  startDay: '2026-11-02',
  weeks: 6,
  matchDays: ['2026-11-07', '2026-11-14', '2027-03-01'],
  items: [],
};

const BLOCK = {
  drill: 'harbour-turn',
  stage: 2,
  minutes: 40,
  kind: 'homework',
  timesAWeek: 2,
  fromWeek: 1,
  weeks: 5,
  note: '',
} as const;

const item = (day: string, drill = 'harbour-turn', minutes = 20): ProgrammeItem => ({
  id: newId(),
  day,
  drill,
  stage: 1,
  minutes,
  kind: 'homework',
  note: '',
});

describe('days', () => {
  it('go on over months, years and leap days, and know their Monday', () => {
    expect(addDays('2026-12-30', 3)).toBe('2027-01-02');
    expect(addDays('2028-03-01', -1)).toBe('2028-02-29');
    // The 24th of November 2026 is a Tuesday.
    expect(weekdayOf('2026-11-24')).toBe(1);
    expect(mondayOf('2026-11-24')).toBe('2026-11-23');
    expect(mondayOf('2026-11-23')).toBe('2026-11-23');
    expect(mondayOf('2026-11-29')).toBe('2026-11-23');
    expect(() => addDays('soon', 1)).toThrow(RangeError);
  });
});

describe('a block of a programme', () => {
  it('of forty minutes twice a week for five weeks is ten entries, with a day of rest between', () => {
    const items = spreadBlock(empty, BLOCK, newId);
    expect(items).toHaveLength(10);
    expect(items.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(400);
    const weeks = new Map<string, number[]>();
    for (const { day } of items)
      weeks.set(mondayOf(day), [...(weeks.get(mondayOf(day)) ?? []), weekdayOf(day)]);
    expect([...weeks.keys()]).toEqual(['2026-11-02', '2026-11-09', '2026-11-16', '2026-11-23', '2026-11-30']);
    for (const [a = 0, b = 0] of weeks.values()) expect(b - a).toBeGreaterThan(1);
  });

  it('ends with the programme, and goes out of the way of what is planned already', () => {
    expect(spreadBlock(empty, { ...BLOCK, fromWeek: 5 }, newId)).toHaveLength(4);
    const first = spreadBlock(empty, BLOCK, newId);
    const second = spreadBlock({ ...empty, items: [...first] }, { ...BLOCK, drill: 'anchor-drop' }, newId);
    const days = new Set(first.map(({ day }) => day));
    expect(second.filter(({ day }) => days.has(day))).toEqual([]);
  });

  it('comes never twice a day, also seven times a week', () => {
    for (let times = 1; times <= 7; times++) {
      const items = spreadBlock(empty, { ...BLOCK, timesAWeek: times, weeks: 2 }, newId);
      expect(items).toHaveLength(2 * times);
      expect(new Set(items.map(({ day }) => day)).size).toBe(2 * times);
    }
    expect(() => spreadBlock(empty, { ...BLOCK, timesAWeek: 8 }, newId)).toThrow(RangeError);
  });

  it('never fills days that are past', () => {
    const all = spreadBlock(empty, BLOCK, newId).map(({ day }) => day);
    const [, , third = ''] = all;
    expect(spreadBlock(empty, BLOCK, newId, third).map(({ day }) => day)).toEqual(all.slice(2));
    const matches = beforeMatches(empty, BLOCK, newId, '2026-11-08').map(({ day }) => day);
    expect(matches).toEqual(['2026-11-14']);
    expect(isTickable({ day: '2026-11-14' }, '2026-11-13')).toBe(false);
    expect(isTickable({ day: '2026-11-14' }, '2026-11-14')).toBe(true);
  });

  it('before each match stands on the match days of the programme', () => {
    const items = beforeMatches(empty, { ...BLOCK, minutes: 15 }, newId);
    expect(items.map(({ day, kind, minutes }) => [day, kind, minutes])).toEqual([
      ['2026-11-07', 'before a match', 15],
      ['2026-11-14', 'before a match', 15],
    ]);
  });

  it('copied to another player three weeks later keeps its weekdays', () => {
    const from = { ...empty, items: [...spreadBlock(empty, BLOCK, newId)] };
    const to = copyProgramme(from, { playerId: newId(), startDay: '2026-11-23' }, newId);
    expect(to.items.map(({ day }) => day)).toEqual(from.items.map(({ day }) => addDays(day, 21)));
    expect(to.items.map(({ day }) => weekdayOf(day))).toEqual(from.items.map(({ day }) => weekdayOf(day)));
    expect(new Set([...from.items, ...to.items].map(({ id }) => id)).size).toBe(20);
    expect(() => copyProgramme(from, { playerId: newId(), startDay: '2026-11-24' }, newId)).toThrow(
      RangeError,
    );
  });
});

describe('done against planned', () => {
  const monday = item('2026-11-02');
  const friday = item('2026-11-06');
  const next = item('2026-11-10');
  const other = item('2026-11-03', 'anchor-drop', 30);
  const items = [friday, monday, next, other];
  const round = (id: string, day: string, drill = 'harbour-turn') => ({ id, day, drill });

  it('a round does one entry of its drill in its week, that of its day before others', () => {
    const states = donePlanned(items, new Set(), [round('a', '2026-11-06')], '2026-11-07');
    expect(states.get(friday.id)).toEqual({ kind: 'scored', round: 'a' });
    expect(states.get(monday.id)).toEqual({ kind: 'open' });
    const two = donePlanned(
      items,
      new Set(),
      [round('a', '2026-11-06'), round('b', '2026-11-08')],
      '2026-11-09',
    );
    expect(two.get(monday.id)).toEqual({ kind: 'scored', round: 'b' });
    expect(two.get(next.id)).toEqual({ kind: 'open' });
    expect(two.get(other.id)).toEqual({ kind: 'missed' });
  });

  it('a tick counts, and takes no round away', () => {
    const states = donePlanned(items, new Set([monday.id]), [round('a', '2026-11-05')], '2026-11-05');
    expect(states.get(monday.id)).toEqual({ kind: 'ticked' });
    expect(states.get(friday.id)).toEqual({ kind: 'scored', round: 'a' });
    expect(countDone(items, states)).toEqual({ planned: 4, done: 2, plannedMinutes: 90, doneMinutes: 40 });
  });
});

describe('days by a club’s clock', () => {
  it('are those on its wall', () => {
    expect(dayIn('2026-11-24T23:30:00Z', 'UTC')).toBe('2026-11-24');
    expect(dayIn('2026-11-24T23:30:00Z', 'Europe/Athens')).toBe('2026-11-25');
    expect(dayIn('2026-11-24T03:30:00Z', 'America/Los_Angeles')).toBe('2026-11-23');
    expect(() => dayIn('2026-11-24T03:30:00Z', 'Moon/Copernicus')).toThrow(RangeError);
  });

  it('months begin and end with the days', () => {
    for (const zone of ['Pacific/Kiritimati', 'UTC', 'Pacific/Pago_Pago', 'Europe/Lisbon']) {
      for (let hour = 0; hour < 24 * 40; hour += 7) {
        const at = new Date(Date.UTC(2026, 10, 1, hour));
        expect(monthIn(at, zone), `${at.toISOString()} ${zone}`).toBe(dayIn(at, zone).slice(0, 7));
      }
    }
  });
});
