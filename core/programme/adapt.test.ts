import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ProgrammeDocument, ProgrammeItem } from '../records/programme.ts';
import {
  adaptProgramme,
  REPEAT_AFTER_DAYS,
  withChanges,
  withoutChanges,
  type DrillEvidence,
  type WeeksToCome,
} from './adapt.ts';
import { addDays, dayNumber } from './days.ts';
import { donePlanned } from './donePlanned.ts';

const START = '2026-11-02';
const TODAY = '2026-11-10';
const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const item = (n: number, day: string, change: Partial<ProgrammeItem> = {}): ProgrammeItem => ({
  id: id(n),
  day,
  drill: 'harbour-turn',
  stage: 1,
  minutes: 20,
  kind: 'homework',
  note: 'slowly',
  ...change,
});

/** Twice a week for eight weeks: Tuesdays and Fridays. */
const TWICE = Array.from({ length: 16 }, (_, i) =>
  item(i + 1, addDays(START, 7 * Math.floor(i / 2) + (i % 2 === 0 ? 1 : 4))),
);

const documentOf = (items: readonly ProgrammeItem[]): ProgrammeDocument => ({
  title: 'Autumn',
  playerId: id(999),
  startDay: START,
  weeks: 8,
  matchDays: [],
  items: [...items],
});

function weeksWith(
  evidence: Partial<DrillEvidence>,
  { items = TWICE, ...more }: Partial<WeeksToCome> & { readonly items?: readonly ProgrammeItem[] } = {},
): WeeksToCome {
  const document = documentOf(items);
  return {
    document,
    states: donePlanned(items, new Set(), [], TODAY),
    today: TODAY,
    practised: new Set(),
    evidence: new Map([
      [
        'harbour-turn',
        {
          skills: ['cue-ball control'],
          last: { id: id(500), day: TODAY },
          advice: { kind: 'stay', stage: 1, shown: '' },
          course: 'open',
          ...evidence,
        },
      ],
    ]),
    next: [
      { drill: 'four-corners', stage: 2, skill: 'potting' },
      { drill: 'anchor-drop', stage: 1, skill: 'cue-ball control' },
    ],
    ...more,
  };
}

const adapted = (weeks: WeeksToCome) => {
  const proposals = adaptProgramme(weeks);
  return {
    proposals,
    after: proposals.reduce((doc, { changes }) => withChanges(doc, changes), weeks.document),
  };
};

describe('the weeks to come', () => {
  it('stay as they are where nothing speaks for a change', () => {
    expect(adaptProgramme(weeksWith({}))).toEqual([]);
  });

  it('go a stage up for what is still to come, and leave what is past', () => {
    const { proposals, after } = adapted(
      weeksWith({ advice: { kind: 'stage up', stage: 2, shown: '80 % done' } }),
    );
    expect(proposals).toMatchObject([{ kind: 'up', drill: 'harbour-turn', shown: '80 % done' }]);
    for (const { day, stage } of after.items) expect(stage, day).toBe(day < TODAY ? 1 : 2);
  });

  it('go a stage back only where they stand at the failed one', () => {
    const items = TWICE.map((each, i) => ({ ...each, stage: i % 2 === 0 ? 2 : 1 }));
    const { proposals, after } = adapted(
      weeksWith({ advice: { kind: 'stage back', stage: 1, shown: '10 % done' } }, { items }),
    );
    expect(proposals).toMatchObject([{ kind: 'back' }]);
    expect(after.items.filter(({ day, stage }) => day >= TODAY && stage !== 1)).toEqual([]);
    expect(after.items.filter(({ day, stage }) => day < TODAY && stage === 2)).toHaveLength(1);
  });

  it('repeat what sits at growing distances, and give the days between to another drill of its skill', () => {
    const { proposals, after } = adapted(
      weeksWith({ advice: { kind: 'harder', stage: 1, shown: '90 % done' } }),
    );
    expect(proposals).toMatchObject([{ kind: 'spread' }]);
    const kept = after.items.filter(({ drill, day }) => drill === 'harbour-turn' && day >= TODAY);
    const days = [TODAY, ...kept.map(({ day }) => day)].map(dayNumber);
    const gaps = days.slice(1).map((day, i) => day - (days[i] ?? 0));
    expect(gaps).toHaveLength(3);
    for (const [i, gap] of gaps.entries()) {
      expect(gap).toBeGreaterThanOrEqual(REPEAT_AFTER_DAYS[i] ?? 0);
      // Twice a week there is always a day within four.
      expect(gap).toBeLessThan((REPEAT_AFTER_DAYS[i] ?? 0) + 4);
    }
    const others = after.items.filter(({ drill }) => drill !== 'harbour-turn');
    expect(new Set(others.map(({ drill }) => drill))).toEqual(new Set(['anchor-drop']));
    expect(after.items).toHaveLength(TWICE.length);
  });

  it('let a drill on a plateau rest for two weeks in favour of another one, and then come again', () => {
    const { proposals, after } = adapted(weeksWith({ course: 'plateau' }));
    expect(proposals).toMatchObject([{ kind: 'swap' }]);
    for (const { day, drill } of after.items) {
      const swapped = day >= TODAY && day < addDays(TODAY, 14);
      expect(drill, day).toBe(swapped ? 'anchor-drop' : 'harbour-turn');
    }
  });

  it('leave a drill that falls alone for a week', () => {
    const { proposals, after } = adapted(weeksWith({ course: 'down' }));
    expect(proposals).toMatchObject([{ kind: 'leave' }]);
    const gone = TWICE.filter(({ id: one }) => !after.items.some((each) => each.id === one));
    expect(gone.map(({ day }) => day)).toEqual(['2026-11-10', '2026-11-13']);
  });

  it('have a day of rest after practice on six of seven days, and lose nothing by it where there is room', () => {
    const items = [item(1, '2026-11-11'), item(2, '2026-11-12', { drill: 'anchor-drop', minutes: 50 })];
    const six = new Set([0, 1, 2, 3, 4, 6].map((days) => addDays(TODAY, -days)));
    const { proposals, after } = adapted(weeksWith({}, { items, practised: six }));
    expect(proposals).toMatchObject([{ kind: 'rest', drill: null }]);
    expect(after.items.find((each) => each.id === id(1))?.day).toBe('2026-11-13');
    const five = new Set([...six].slice(1));
    expect(adaptProgramme(weeksWith({}, { items, practised: five }))).toEqual([]);
  });

  it('keep what is played before a match on its day, even after many days of practice', () => {
    const items = [item(1, '2026-11-11', { kind: 'before a match' })];
    const all = new Set(Array.from({ length: 7 }, (_, i) => addDays(TODAY, -i)));
    expect(adaptProgramme(weeksWith({}, { items, practised: all }))).toEqual([]);
  });

  it('never change what is past or done, nor one entry twice, and are as before when taken back', () => {
    const day = fc.integer({ min: 0, max: 55 }).map((days) => addDays(START, days));
    const some = fc.array(
      fc.record({
        day,
        drill: fc.constantFrom('harbour-turn', 'long-pier', 'anchor-drop'),
        stage: fc.integer({ min: 1, max: 3 }),
      }),
      { maxLength: 25 },
    );
    const kind = fc.constantFrom('stage up', 'stage back', 'harder', 'easier', 'stay', 'rung');
    const course = fc.constantFrom('too few', 'up', 'down', 'plateau', 'open');
    fc.assert(
      fc.property(
        some,
        kind,
        course,
        fc.boolean(),
        fc.uniqueArray(fc.integer({ min: 0, max: 24 })),
        (...given) => {
          const [made, advice, going, tired, ticked] = given;
          const items = made.map((each, i) => item(i + 1, each.day, each));
          const one = { kind: advice, stage: 2, shown: '' } as const;
          const weeks = weeksWith(
            { advice: one, course: going },
            {
              items,
              states: donePlanned(items, new Set(ticked.map((n) => id(n + 1))), [], TODAY),
              practised: new Set(tired ? Array.from({ length: 7 }, (_, i) => addDays(TODAY, -i)) : []),
            },
          );
          const { proposals, after } = adapted(weeks);
          const touched = proposals.flatMap(({ changes }) => changes.map((change) => change.item));
          expect(new Set(touched).size).toBe(touched.length);
          for (const each of items) {
            if (each.day < TODAY || weeks.states.get(each.id)?.kind !== 'open') {
              expect(touched).not.toContain(each.id);
            }
          }
          const back = proposals.reduceRight(
            (doc, { changes }) =>
              withoutChanges(
                doc,
                changes,
                items.filter((each) => touched.includes(each.id)),
              ),
            after,
          );
          const sorted = (list: readonly ProgrammeItem[]) =>
            list.toSorted((a, b) => a.id.localeCompare(b.id));
          expect(sorted(back.items)).toEqual(sorted(items));
        },
      ),
    );
  });

  it('taken back leave alone what somebody has changed since', () => {
    const weeks = weeksWith({ advice: { kind: 'stage up', stage: 2, shown: '' } });
    const { proposals, after } = adapted(weeks);
    const moved = TWICE.at(-1)?.id;
    const since = {
      ...after,
      items: after.items.map((each) => (each.id === moved ? { ...each, minutes: 45 } : each)),
    };
    const back = withoutChanges(since, proposals[0]?.changes ?? [], TWICE);
    for (const each of back.items) expect(each.stage, each.day).toBe(each.id === moved ? 2 : 1);
  });
});
