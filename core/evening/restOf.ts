import type { EveningWants } from '../records/evening.ts';
import type { Lesson, LessonBlock, LessonEvening } from '../records/lesson.ts';
import type { PresetId } from '../table/preset.ts';
import type { EveningAsk, EveningStudent, PlayedTurn } from './ask.ts';

/** The rest of an evening begins at a whole number of so many minutes. */
const WHOLE = 5;

/** What has changed since an evening was planned. */
export interface EveningChanges {
  /** Now, minutes after the beginning. */
  readonly now: number;
  /** Who comes later, and when, minutes after the beginning; null for whoever does not come any more. */
  readonly late: ReadonlyMap<string, number | null>;
  /** Tables that cannot be played on any more. */
  readonly broken: readonly string[];
}

/** Who and what there is for an evening. */
export interface EveningCast {
  readonly wants: EveningWants;
  readonly tables: readonly { readonly id: string; readonly preset: PresetId }[];
}

/** When a block that has begun is over, minutes after the beginning; one that runs, at the earliest now. */
function overAt(block: LessonBlock, now: number): number {
  const planned = (block.from ?? 0) + block.minutes;
  return block.endedAt === null ? Math.max(now, planned) : Math.min(now, planned);
}

/**
 * What is left to be planned of an evening: what has been played counts, what runs holds its table and its student until it is
 * over, whoever is late comes later.
 */
export function restOfEvening(
  evening: LessonEvening,
  lessons: readonly Lesson[],
  { now, late, broken }: EveningChanges,
  { wants, tables }: EveningCast,
): EveningAsk {
  const from = Math.max(0, WHOLE * Math.ceil(now / WHOLE));
  const begun = lessons.flatMap(({ document: { tableId, blocks } }) =>
    blocks
      .filter(({ startedAt }) => startedAt !== null)
      .map((block) => ({ tableId, block, until: overAt(block, now) })),
  );
  const students = wants.flatMap(({ playerId, wants: own }): EveningStudent | [] => {
    const comes = late.get(playerId);
    if (comes === null) return [];
    const theirs = begun.filter(({ block }) => block.playerId === playerId);
    const played = theirs
      .map(({ block, until }): PlayedTurn => ({ drill: block.drill, minutes: block.minutes, until }))
      .toSorted((a, b) => a.until - b.until);
    const busyUntil = Math.max(0, ...played.map(({ until }) => until));
    return { id: playerId, wants: own, from: Math.max(comes ?? 0, busyUntil), played };
  });
  return {
    students,
    tables: tables
      .filter(({ id }) => !broken.includes(id))
      .map(({ id, preset }) => {
        const taken = begun.filter(({ tableId, block }) => tableId === id && block.endedAt === null);
        return { id, preset, from: Math.max(0, ...taken.map(({ until }) => until)) };
      }),
    coaches: evening.coachIds,
    from,
    until: Math.max(from, evening.minutes),
    rules: { turn: evening.turn, restAfter: evening.restAfter, most: evening.most },
  };
}
