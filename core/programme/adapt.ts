import type { ItemChange, ProgrammeProposal } from '../records/programmeProposal.ts';
import type { Skill } from '../records/drill.ts';
import type { ProgrammeDocument, ProgrammeItem } from '../records/programme.ts';
import type { Advice } from '../scoring/advice.ts';
import type { Course } from '../scoring/progress.ts';
import { addDays, dayNumber, WEEK_DAYS } from './days.ts';
import type { ItemState } from './donePlanned.ts';

/** What the rounds of a drill say of the weeks to come. */
export interface DrillEvidence {
  readonly skills: readonly Skill[];
  /** The newest round of it: its id, and the day on which it was played. */
  readonly last: { readonly id: string; readonly day: string };
  /** What follows from the rounds at the newest one's stage. */
  readonly advice: Pick<Advice, 'kind' | 'stage' | 'shown'>;
  readonly course: Course;
}

/** A drill that could take the place of another one, the best first. */
export interface Replacement {
  readonly drill: string;
  readonly stage: number;
  readonly skill: Skill;
}

/** What the coming weeks are looked at by. */
export interface WeeksToCome {
  readonly document: ProgrammeDocument;
  readonly states: ReadonlyMap<string, ItemState>;
  readonly today: string;
  /** Days on which something was played or ticked off. */
  readonly practised: ReadonlySet<string>;
  readonly evidence: ReadonlyMap<string, DrillEvidence>;
  readonly next: readonly Replacement[];
}

/**
 * Days from one repetition of what sits to the next: each a good twice the one before. That growing distances hold what was
 * learnt is known; these numbers are a rule of thumb.
 */
export const REPEAT_AFTER_DAYS = [4, 9, 20, 45] as const;
/** A drill on a plateau gives its place to another one for so many days, one that falls is left for so many. */
const SWAP_DAYS = 14;
const LEAVE_DAYS = 7;
/** With practice on so many of seven days, the next one is for rest. */
const MOST_DAYS_OF_SEVEN = 6;
/** So far an entry is moved at most to make room for a day of rest, days. */
const MOVED_DAYS = 3;

/** Entries to come that are still open, the earliest first. */
function openItems({ document, states, today }: WeeksToCome): readonly ProgrammeItem[] {
  return document.items
    .filter(({ id, day }) => day >= today && states.get(id)?.kind === 'open')
    .toSorted((a, b) => a.day.localeCompare(b.day));
}

/** The best drill that is not in the weeks to come yet, of one of some skills where there is one. */
function replacementFor(weeks: WeeksToCome, skills: readonly Skill[]): Replacement | undefined {
  const planned = new Set(openItems(weeks).map(({ drill }) => drill));
  const free = weeks.next.filter(({ drill }) => !planned.has(drill));
  return free.find(({ skill }) => skills.includes(skill)) ?? free[0];
}

const replaced = (item: ProgrammeItem, by: Replacement | undefined): ItemChange => ({
  item: item.id,
  to: by === undefined ? null : { ...item, drill: by.drill, stage: by.stage, note: '' },
});

/** Which entries of what sits stay: the first ones that lie far enough after the repetition before. */
function spreadOut(items: readonly ProgrammeItem[], lastDay: string): ReadonlySet<string> {
  const kept = new Set<string>();
  let before = dayNumber(lastDay);
  for (const item of items) {
    const gap = REPEAT_AFTER_DAYS[Math.min(kept.size, REPEAT_AFTER_DAYS.length - 1)] ?? 0;
    if (dayNumber(item.day) - before < gap) continue;
    kept.add(item.id);
    before = dayNumber(item.day);
  }
  return kept;
}

/** What the rounds of one drill propose for its entries to come; undefined where they may stay as they are. */
function forDrill(weeks: WeeksToCome, drill: string, evidence: DrillEvidence): ProgrammeProposal | undefined {
  const items = openItems(weeks).filter((item) => item.drill === drill);
  const { advice, course, last, skills } = evidence;
  const proposal = (
    kind: ProgrammeProposal['kind'],
    changes: readonly ItemChange[],
    shown: string | null = null,
  ) =>
    changes.length === 0
      ? undefined
      : { key: `${kind}|${drill}|${last.id}`, kind, drill, shown, changes: [...changes] };
  const within = (days: number) => items.filter(({ day }) => day < addDays(weeks.today, days));
  const restaged = (from: number) =>
    items
      .filter(({ stage }) => stage === from)
      .map((item): ItemChange => ({ item: item.id, to: { ...item, stage: advice.stage } }));
  if (course === 'down' && advice.kind !== 'stage up') {
    const away = within(LEAVE_DAYS).map((item): ItemChange => ({ item: item.id, to: null }));
    const left = proposal('leave', away);
    if (left !== undefined) return left;
  }
  switch (advice.kind) {
    case 'stage back':
      return proposal('back', restaged(advice.stage + 1), advice.shown);
    case 'stage up':
      return proposal('up', restaged(advice.stage - 1), advice.shown);
    case 'harder': {
      const kept = spreadOut(items, last.day);
      const by = replacementFor(weeks, skills);
      const freed = items.filter(({ id }) => !kept.has(id)).map((item) => replaced(item, by));
      return proposal('spread', freed, advice.shown);
    }
    case 'easier':
    case 'rung':
    case 'stay': {
      const by = replacementFor(weeks, skills);
      if (course !== 'plateau' || by === undefined) return undefined;
      return proposal(
        'swap',
        within(SWAP_DAYS).map((item) => replaced(item, by)),
      );
    }
  }
}

/** A day of rest after practice on nearly every day of a week: what is planned for it moves on, or is left out. */
function dayOfRest(weeks: WeeksToCome): ProgrammeProposal | undefined {
  const { today, practised, document } = weeks;
  const days = Array.from({ length: WEEK_DAYS }, (_, i) => addDays(today, -i));
  if (days.filter((day) => practised.has(day)).length < MOST_DAYS_OF_SEVEN) return undefined;
  const rest = addDays(today, 1);
  const items = openItems(weeks).filter(({ day, kind }) => day === rest && kind !== 'before a match');
  if (items.length === 0) return undefined;
  const end = addDays(document.startDay, WEEK_DAYS * document.weeks);
  const planned = [...document.items];
  const changes = items.map((item): ItemChange => {
    const minutesOn = (day: string) =>
      planned.reduce((sum, each) => sum + (each.day === day ? each.minutes : 0), 0);
    const day = Array.from({ length: MOVED_DAYS }, (_, i) => addDays(rest, i + 1))
      .filter((each) => each < end)
      .filter((each) => !planned.some((other) => other.day === each && other.drill === item.drill))
      .toSorted((a, b) => minutesOn(a) - minutesOn(b))[0];
    if (day === undefined) return { item: item.id, to: null };
    const to = { ...item, day };
    planned.push(to);
    return { item: item.id, to };
  });
  return { key: `rest|${rest}`, kind: 'rest', drill: null, shown: null, changes };
}

/**
 * What the weeks to come could be changed by after what was played: a stage up or back, what sits repeated at growing
 * distances, another drill for one on a plateau, a week without one that falls, a day of rest. Of each drill at most one
 * proposal; what is past or done never changes, and nothing is changed until somebody says yes.
 * @param weeks the programme with what became of its entries, days as "2026-11-24"
 * @returns proposals of which no two change one entry; the rule and its numbers are our own (see REPEAT_AFTER_DAYS)
 */
export function adaptProgramme(weeks: WeeksToCome): readonly ProgrammeProposal[] {
  const ofDrills = [...weeks.evidence].flatMap(([drill, evidence]) => forDrill(weeks, drill, evidence) ?? []);
  const rest = dayOfRest(weeks);
  if (rest === undefined) return ofDrills;
  // Two proposals never change one entry: the day of rest takes what nobody else has taken.
  const taken = new Set(ofDrills.flatMap(({ changes }) => changes.map(({ item }) => item)));
  const changes = rest.changes.filter(({ item }) => !taken.has(item));
  return changes.length === 0 ? ofDrills : [...ofDrills, { ...rest, changes }];
}

/** The programme with some changes made: entries that are not there any more are left alone. */
export function withChanges(document: ProgrammeDocument, changes: readonly ItemChange[]): ProgrammeDocument {
  const by = new Map(changes.map(({ item, to }) => [item, to]));
  return {
    ...document,
    items: document.items.flatMap((item) => {
      const to = by.get(item.id);
      return to === undefined ? item : (to ?? []);
    }),
  };
}

const sameItem = (a: ProgrammeItem, b: ProgrammeItem) =>
  a.day === b.day && a.drill === b.drill && a.stage === b.stage && a.minutes === b.minutes;

/**
 * The programme as it was before some changes, as far as nobody has changed the same entries since.
 * @param before the entries as they were
 */
export function withoutChanges(
  document: ProgrammeDocument,
  changes: readonly ItemChange[],
  before: readonly ProgrammeItem[],
): ProgrammeDocument {
  const was = new Map(before.map((item) => [item.id, item]));
  const to = new Map(changes.map((change) => [change.item, change.to]));
  const items = document.items.map((item) => {
    const changed = to.get(item.id);
    return changed !== undefined && changed !== null && sameItem(item, changed)
      ? (was.get(item.id) ?? item)
      : item;
  });
  const here = new Set(items.map(({ id }) => id));
  const away = before.filter(({ id }) => to.get(id) === null && !here.has(id));
  return { ...document, items: [...items, ...away] };
}
