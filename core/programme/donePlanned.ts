import type { ProgrammeItem } from '../records/programme.ts';
import { mondayOf } from './days.ts';

/** A finished round as far as a programme needs it. */
export interface DoneRound {
  readonly id: string;
  readonly drill: string;
  /** The day on which it was played. */
  readonly day: string;
}

/** How an entry was done; 'open' while it may still be, 'missed' when its week is over. */
export type ItemState =
  | { readonly kind: 'scored'; readonly round: string }
  | { readonly kind: 'ticked' }
  | { readonly kind: 'open' }
  | { readonly kind: 'missed' };

/**
 * What became of each entry: a round of its drill in its week does one entry, the earliest first and a round on the very
 * day before others; what was ticked off is done too, and takes no round away from another.
 * @param today the day on which it is asked
 * @returns by the entry's id
 */
export function donePlanned(
  items: readonly ProgrammeItem[],
  ticked: ReadonlySet<string>,
  rounds: readonly DoneRound[],
  today: string,
): ReadonlyMap<string, ItemState> {
  const states = new Map<string, ItemState>();
  const free = new Set(rounds.map(({ id }) => id));
  const inOrder = [...items].sort((a, b) => a.day.localeCompare(b.day));
  const take = (item: ProgrammeItem, fits: (round: DoneRound) => boolean) => {
    const round = rounds.find((each) => free.has(each.id) && each.drill === item.drill && fits(each));
    if (round === undefined) return;
    free.delete(round.id);
    states.set(item.id, { kind: 'scored', round: round.id });
  };
  for (const item of inOrder) take(item, ({ day }) => day === item.day);
  for (const item of inOrder) {
    if (states.has(item.id)) continue;
    if (ticked.has(item.id)) states.set(item.id, { kind: 'ticked' });
    else take(item, ({ day }) => mondayOf(day) === mondayOf(item.day));
  }
  for (const item of items) {
    if (states.has(item.id)) continue;
    states.set(item.id, { kind: mondayOf(item.day) < mondayOf(today) ? 'missed' : 'open' });
  }
  return states;
}

/** Whether an entry can be ticked off: what is to come has not been done. */
export function isTickable({ day }: Pick<ProgrammeItem, 'day'>, today: string): boolean {
  return day <= today;
}

/** Done against planned, entries and minutes. */
export interface DoneCount {
  readonly planned: number;
  readonly done: number;
  readonly plannedMinutes: number;
  readonly doneMinutes: number;
}

/** How much of some entries is done. */
export function countDone(
  items: readonly ProgrammeItem[],
  states: ReadonlyMap<string, ItemState>,
): DoneCount {
  const done = items.filter(({ id }) => ['scored', 'ticked'].includes(states.get(id)?.kind ?? ''));
  const minutes = (list: readonly ProgrammeItem[]) => list.reduce((sum, item) => sum + item.minutes, 0);
  return {
    planned: items.length,
    done: done.length,
    plannedMinutes: minutes(items),
    doneMinutes: minutes(done),
  };
}
