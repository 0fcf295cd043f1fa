import type { ProgrammeDocument, ProgrammeItem } from '../records/programme.ts';
import { addDays, dayNumber, weekdayOf, WEEK_DAYS } from './days.ts';

/** "This drill, forty minutes, twice a week, five weeks." */
export interface PracticeBlock {
  readonly drill: string;
  readonly stage: number;
  readonly minutes: number;
  readonly kind: ProgrammeItem['kind'];
  readonly timesAWeek: number;
  /** First week of the programme, from 1, and how many. */
  readonly fromWeek: number;
  readonly weeks: number;
  readonly note: string;
}

type NewId = () => string;

/**
 * Weekdays so far apart that rest days lie between, 0 for Monday: once a week on a Tuesday, twice on Tuesday and Friday.
 * @param times 1…7
 */
function weekdays(times: number): readonly number[] {
  const first = times >= 4 ? 0 : 1;
  return Array.from(
    { length: times },
    (_, i) => first + Math.floor((i * (WEEK_DAYS - first)) / Math.max(1, times)),
  );
}

/** Minutes that are planned on each day of the programme. */
function loadOf(items: readonly ProgrammeItem[], day: string): number {
  return items.filter((item) => item.day === day).reduce((sum, { minutes }) => sum + minutes, 0);
}

/** The first of the days that are planned for; what is past is never filled. Left out, all are planned. */
type NotBefore = string | undefined;

/**
 * The entries of a block: on weekdays with rest between, each moved to a neighbouring day where its own is fuller; the same
 * drill never twice a day. Weeks beyond the programme are left out.
 * @param newId gives each entry its id
 * @throws RangeError for a number of times that a week does not have
 */
export function spreadBlock(
  programme: Pick<ProgrammeDocument, 'startDay' | 'weeks' | 'items'>,
  block: PracticeBlock,
  newId: NewId,
  notBefore?: NotBefore,
): readonly ProgrammeItem[] {
  const { drill, stage, minutes, kind, note, timesAWeek } = block;
  if (!(timesAWeek >= 1 && timesAWeek <= WEEK_DAYS)) {
    throw new RangeError('spreadBlock: a block comes one to seven times a week');
  }
  const added: ProgrammeItem[] = [];
  const last = Math.min(programme.weeks, block.fromWeek + block.weeks - 1);
  for (let week = block.fromWeek; week <= last; week++) {
    const monday = addDays(programme.startDay, WEEK_DAYS * (week - 1));
    for (const weekday of weekdays(timesAWeek)) {
      const planned = [...programme.items, ...added];
      const free = [0, 1, -1]
        .map((shift) => weekday + shift)
        .filter((each) => each >= 0 && each < WEEK_DAYS)
        .map((each) => addDays(monday, each))
        .filter((each) => notBefore === undefined || each >= notBefore)
        .filter((each) => !planned.some((item) => item.day === each && item.drill === drill));
      const day = free.toSorted((a, b) => loadOf(planned, a) - loadOf(planned, b))[0];
      if (day !== undefined) added.push({ id: newId(), day, drill, stage, minutes, kind, note });
    }
  }
  return added;
}

/** "A quarter of an hour of long pots before each match": an entry on every match day within the programme. */
export function beforeMatches(
  programme: Pick<ProgrammeDocument, 'startDay' | 'weeks' | 'matchDays'>,
  block: Pick<PracticeBlock, 'drill' | 'stage' | 'minutes' | 'note'>,
  newId: NewId,
  notBefore?: NotBefore,
): readonly ProgrammeItem[] {
  const { drill, stage, minutes, note } = block;
  const from = dayNumber(programme.startDay);
  return programme.matchDays
    .filter((day) => notBefore === undefined || day >= notBefore)
    .filter((day) => dayNumber(day) >= from && dayNumber(day) < from + WEEK_DAYS * programme.weeks)
    .map((day) => ({ id: newId(), day, drill, stage, minutes, kind: 'before a match' as const, note }));
}

/** The same programme from another Monday on, for another player: every day moves alike, every entry is a new one. */
export function copyProgramme(
  programme: ProgrammeDocument,
  to: { readonly playerId: string; readonly startDay: string },
  newId: NewId,
): ProgrammeDocument {
  const by = dayNumber(to.startDay) - dayNumber(programme.startDay);
  if (weekdayOf(to.startDay) !== 0) throw new RangeError('copyProgramme: a programme begins on a Monday');
  return {
    ...programme,
    playerId: to.playerId,
    startDay: to.startDay,
    matchDays: programme.matchDays.map((day) => addDays(day, by)),
    items: programme.items.map((item) => ({ ...item, id: newId(), day: addDays(item.day, by) })),
  };
}
