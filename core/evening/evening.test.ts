import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import type { Want } from '../records/evening.ts';
import type { Lesson, LessonBlock, LessonEvening } from '../records/lesson.ts';
import { eveningChangeSchema } from '../records/evening.ts';
import type { PresetId } from '../table/preset.ts';
import type { EveningAsk, EveningStudent, Turn } from './ask.ts';
import { clashesOf } from './clashes.ts';
import { insteadOf, placesOf } from './instead.ts';
import { lessonsOfEvening } from './lessons.ts';
import { planEvening } from './planEvening.ts';
import { restOfEvening } from './restOf.ts';
import { strainOf } from './strain.ts';
import { NOBODY, timetableOf } from './timetable.ts';
import { wantsOf, type EveningCandidate } from './wants.ts';

const RULES = { turn: 20, restAfter: 40, most: 80 };

const want = (drill: string, gain: number, more: Partial<Want> = {}): Want => ({
  drill,
  stage: 1,
  kind: 'main',
  skill: 'potting',
  gain,
  tables: ['pool-9ft'],
  behind: null,
  isSurelyBehind: false,
  shows: null,
  restDays: null,
  course: null,
  ...more,
});

const uuid = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** Students with drills by chance, the more gain the lower their number. */
function students(count: number, seed = 1): readonly EveningStudent[] {
  const random = createRandom(seed);
  return Array.from({ length: count }, (_, i) => {
    const gain = () => 0.2 + 0.7 * random.uniform();
    return {
      id: uuid(i + 1),
      from: 0,
      played: [],
      wants: [
        want('warm', 0.35, { kind: 'warm-up' }),
        want('one', gain()),
        want('two', gain(), { skill: 'break' }),
        want('three', gain(), { skill: 'cue-ball control' }),
      ],
    };
  });
}

const table = (id: string, preset: PresetId = 'pool-9ft') => ({ id, preset, from: 0 });

const evening = (more: Partial<EveningAsk> = {}): EveningAsk => ({
  students: students(3),
  tables: [table('A')],
  coaches: [],
  from: 0,
  until: 80,
  rules: RULES,
  ...more,
});

/** The best of every timetable there is. */
function best(ask: EveningAsk, slots: number): number {
  const cells = slots * ask.tables.length;
  let most = -Infinity;
  const places = new Array<number>(cells).fill(NOBODY);
  const fill = (cell: number): void => {
    if (cell === cells) {
      most = Math.max(most, timetableOf(ask, places).worth);
      return;
    }
    const slot = cell - (cell % ask.tables.length);
    for (let number = NOBODY; number < ask.students.length; number++) {
      if (number !== NOBODY && places.slice(slot, cell).includes(number)) continue;
      places[cell] = number;
      fill(cell + 1);
    }
    places[cell] = NOBODY;
  };
  fill(0);
  return most;
}

describe('an evening', () => {
  it('is planned as well as the best of all timetables that there are', () => {
    for (const seed of [1, 2, 3]) {
      const one = evening({ students: students(3, seed), coaches: ['c'] });
      expect(planEvening(one, seed).worth).toBeCloseTo(best(one, 4), 9);
      const two = evening({ students: students(3, seed), tables: [table('A'), table('B')], until: 60 });
      expect(planEvening(two, seed).worth).toBeCloseTo(best(two, 3), 9);
    }
  });

  it('has nobody at two tables, no turn at a table that is not made for it, and keeps to the rule of strain', () => {
    const people = students(9, 5).map((student, i): EveningStudent => {
      const onSnooker = want('long', 0.5, { tables: ['snooker-12ft'], skill: 'run-out' });
      return { ...student, from: i === 4 ? 55 : 0, wants: [...student.wants, onSnooker] };
    });
    const ask = evening({
      students: people,
      tables: [table('A'), table('B'), table('S', 'snooker-12ft')],
      coaches: ['c', 'd'],
      until: 180,
    });
    const { turns } = planEvening(ask, 3);
    // Two pool tables are full throughout, and more.
    expect(turns.length).toBeGreaterThan(17);
    expect(clashesOf(ask, turns).flat()).toEqual([]);
    expect(turns.filter(({ student }) => student === people[4]?.id)[0]?.from).toBeGreaterThanOrEqual(55);
    for (const { id } of people) {
      const own = turns.filter(({ student }) => student === id);
      // Everybody has a turn, and begins with a warm-up where a pool table is free.
      expect(own.length).toBeGreaterThan(0);
      expect(own.slice(1).map(({ want: { kind } }) => kind)).not.toContain('warm-up');
      // Each is watched by at most one coach at a time, and by somebody at some time.
      expect(own.some(({ coach }) => coach !== undefined)).toBe(true);
    }
    expect(planEvening(ask, 3).turns).toEqual(turns);
  });

  it('plays something else each time, as long as there is something else', () => {
    const { turns } = planEvening(evening({ students: students(1), until: 160 }), 1);
    const drills = turns.map(({ want: { drill } }) => drill);
    expect(drills).toHaveLength(4);
    expect(new Set(drills).size).toBe(4);
    // After forty minutes there is a rest.
    expect(turns[2]?.from).toBeGreaterThan(40);
  });

  it('leaves nobody out who comes, however little they gain, and shares the turns out', () => {
    const many = students(5).map((student, i): EveningStudent => {
      const wants = student.wants.map((each) => ({ ...each, gain: i === 4 ? 0.2 * each.gain : each.gain }));
      return { ...student, wants };
    });
    const ask = evening({ students: many, tables: [table('A'), table('B')], until: 120 });
    const { turns } = planEvening(ask, 1);
    const each = many.map(({ id }) => turns.filter(({ student }) => student === id).length);
    expect(Math.min(...each)).toBeGreaterThan(0);
    expect(Math.max(...each)).toBeLessThanOrEqual(3);
  });

  it('counts a pause that is shorter than a turn as none, in the plan and in what it tells', () => {
    // Forty minutes with ten between them, and then twenty more: a rest is due first.
    const [one] = students(1);
    const played = [
      { drill: 'a', minutes: 20, until: 20 },
      { drill: 'b', minutes: 20, until: 50 },
    ];
    const ask = evening({ students: [{ ...one!, from: 50, played }], from: 50, until: 110 });
    const { turns } = planEvening(ask, 1);
    expect(turns[0]?.from).toBeGreaterThanOrEqual(70);
    expect(clashesOf(ask, turns).flat()).toEqual([]);
    const atOnce = { ...turns[0]!, from: 50 };
    expect(clashesOf(ask, [atOnce])).toEqual([['no rest before it']]);
    expect(
      strainOf(
        [
          { from: 30, minutes: 20 },
          { from: 0, minutes: 20 },
        ],
        20,
      ),
    ).toEqual({
      minutes: 40,
      inOneRun: 40,
    });
    expect(strainOf([], 20)).toEqual({ minutes: 0, inOneRun: 0 });
  });

  it('is worth less the less there is of it, and nothing without tables', () => {
    const whole = planEvening(evening(), 1).worth;
    expect(planEvening(evening({ until: 60 }), 1).worth).toBeLessThan(whole);
    expect(planEvening(evening({ students: students(3).slice(0, 1) }), 1).worth).toBeLessThan(whole);
    expect(planEvening(evening({ tables: [] }), 1)).toEqual({ turns: [], worth: 0 });
    expect(() => planEvening(evening({ rules: { ...RULES, turn: 0 } }), 1)).toThrow(RangeError);
  });

  it('says of a turn who could have had it instead, at what cost', () => {
    const ask = evening();
    const { turns, worth } = planEvening(ask, 1);
    const turn = turns[0]!;
    const instead = insteadOf(ask, turns, turn)!;
    expect(instead.student).not.toBe(turn.student);
    expect(instead.costs).toBeGreaterThanOrEqual(0);
    const places = [...placesOf(ask, turns)];
    places[turn.from / RULES.turn] = ask.students.findIndex(({ id }) => id === instead.student);
    expect(timetableOf(ask, places).worth).toBeCloseTo(worth * (1 - instead.costs), 9);
    const alone = evening({ students: students(1) });
    const own = planEvening(alone, 1).turns;
    expect(insteadOf(alone, own, own[0]!)).toBeUndefined();
  });

  it('changed by hand tells what is wrong with each turn', () => {
    const ask = evening({
      students: students(2).map((student, i) => ({ ...student, from: i === 1 ? 30 : 0 })),
      tables: [table('A'), table('B'), table('S', 'snooker-12ft')],
      coaches: ['c'],
    });
    const turn = (student: number, at: string, from: number, coach?: string): Turn => ({
      student: uuid(student),
      table: at,
      from,
      minutes: 20,
      want: want('one', 0.5),
      coach,
    });
    const of = (...turns: readonly Turn[]) => clashesOf(ask, turns);
    expect(of(turn(1, 'A', 0), turn(2, 'B', 40))).toEqual([[], []]);
    expect(of(turn(1, 'A', 0), turn(1, 'B', 10))[0]).toEqual(['at two tables at once']);
    expect(of(turn(1, 'A', 40), turn(2, 'A', 50))[1]).toEqual(['two at this table']);
    expect(of(turn(2, 'A', 20))[0]).toEqual(['not there yet']);
    expect(of(turn(1, 'S', 0))[0]).toEqual(['not for this table']);
    expect(of(turn(1, 'gone', 0))[0]).toEqual(['table not free yet']);
    expect(of(turn(1, 'A', 40, 'c'), turn(2, 'B', 40, 'c'))[0]).toEqual(['coach at two tables at once']);
    expect(of(turn(1, 'A', 0), turn(1, 'A', 20), turn(1, 'A', 40))[2]).toEqual(['no rest before it']);
    const five = [0, 20, 60, 80, 120].map((from) => turn(1, 'A', from));
    expect(of(...five)[4]).toEqual(['more than the evening holds']);
  });
});

const EVENING: LessonEvening = {
  id: uuid(900),
  begins: '18:30',
  minutes: 120,
  coachIds: [uuid(901)],
  ...RULES,
};

describe('the lessons of an evening', () => {
  const cast = {
    wants: students(3).map(({ id, wants }) => ({ playerId: id, wants: [...wants] })),
    tables: [table(uuid(800)), table(uuid(801))],
  };
  let next = 1000;
  const plan = {
    evening: EVENING,
    day: '2026-11-29',
    titleOf: (id: string) => `Table ${id.slice(-3)}`,
    newId: () => uuid(next++),
  };
  const unchanged = { now: 0, late: new Map<string, number>(), broken: [] };
  const asked = restOfEvening(EVENING, [], unchanged, cast);
  const stored = lessonsOfEvening(plan, planEvening(asked, 1).turns, []).map(({ id, document }): Lesson => ({
    id,
    document,
    version: 1,
    heldBy: { id: uuid(901), name: 'Ada' },
    archived: false,
  }));
  const begun = (block: LessonBlock, over: boolean): LessonBlock => ({
    ...block,
    startedAt: '2026-11-29T18:30:00Z',
    endedAt: over ? '2026-11-29T18:52:00Z' : null,
  });

  it('are one for each table, and are accepted as they are sent', async () => {
    expect(stored).toHaveLength(2);
    const sent = stored.map(({ id, document }) => ({ id, document, basedOn: null }));
    expect(await eveningChangeSchema.validate({ lessons: sent })).toEqual({ lessons: sent });
    for (const { document } of stored) {
      expect(document.blocks.map(({ from }) => from)).toEqual(
        document.blocks.map(({ from }) => from ?? 0).sort((a, b) => a - b),
      );
    }
  });

  it('keep what was played when the rest is planned anew: late student, broken table, a turn that overruns', () => {
    // Both first turns are played; the second at the first table runs still, five minutes too long.
    const [one, other] = cast.tables.map(({ id }) => stored.find(({ document }) => document.tableId === id));
    const [first, second] = one!.document.blocks;
    const [theirs] = other!.document.blocks;
    const lessons: Lesson[] = [
      {
        ...one!,
        document: {
          ...one!.document,
          blocks: [begun(first!, true), begun(second!, false), ...one!.document.blocks.slice(2)],
        },
      },
      {
        ...other!,
        document: { ...other!.document, blocks: [begun(theirs!, true), ...other!.document.blocks.slice(1)] },
      },
    ];
    const late = cast.wants.map(({ playerId }) => playerId).find((id) => id !== second!.playerId)!;
    const changes = { now: 43, late: new Map([[late, 80]]), broken: [cast.tables[1]!.id] };
    const ask = restOfEvening(EVENING, lessons, changes, cast);
    expect([ask.from, ask.until]).toEqual([45, 120]);
    expect(ask.tables).toEqual([{ ...cast.tables[0], from: 43 }]);
    expect(ask.students.find(({ id }) => id === late)?.from).toBe(80);
    const busy = ask.students.find(({ id }) => id === second!.playerId)!;
    expect(busy.from).toBe(43);
    expect(busy.played.some(({ drill, until }) => drill === second!.drill && until === 43)).toBe(true);
    const { turns } = planEvening(ask, 2);
    expect(turns.length).toBeGreaterThan(1);
    expect(clashesOf(ask, turns).flat()).toEqual([]);
    const anew = lessonsOfEvening(plan, turns, lessons);
    expect(anew.map(({ basedOn }) => basedOn)).toEqual([1, 1]);
    const [table0, table1] = anew.map(({ document }) => document.blocks);
    expect(table0!.slice(0, 2)).toEqual(lessons[0]!.document.blocks.slice(0, 2));
    expect(table1).toEqual([lessons[1]!.document.blocks[0]]);
    // What was noted to a turn that is still there stays with it, and what was added by hand for everybody, too.
    const noted = {
      ...lessons[0]!.document.blocks[0]!,
      id: uuid(990),
      startedAt: null,
      note: '<p>Pace.</p>',
    };
    const everybodys = { ...noted, id: uuid(991), playerId: undefined };
    const [withNote] = lessonsOfEvening(
      plan,
      [
        {
          student: noted.playerId!,
          table: cast.tables[0]!.id,
          from: 100,
          minutes: 20,
          want: want(noted.drill, 1),
          coach: undefined,
        },
      ],
      [{ ...lessons[0]!, document: { ...lessons[0]!.document, blocks: [noted, everybodys] } }],
    );
    expect(withNote!.document.blocks.map(({ id, note, from }) => [id, note, from])).toEqual([
      [uuid(991), '<p>Pace.</p>', noted.from],
      [uuid(990), '<p>Pace.</p>', 100],
    ]);
    // Whoever does not come any more has no turn.
    const without = restOfEvening(EVENING, lessons, { ...changes, late: new Map([[late, null]]) }, cast);
    expect(without.students.map(({ id }) => id)).not.toContain(late);
  });
});

describe('what a player could play tonight', () => {
  const candidate = (drill: string, more: Partial<EveningCandidate> = {}): EveningCandidate => ({
    drill,
    stage: 1,
    skills: ['potting'],
    levels: undefined,
    restDays: undefined,
    course: undefined,
    tables: ['pool-9ft'],
    ease: undefined,
    ...more,
  });

  it('begins with what goes well already, and then has the skill that lies behind', () => {
    const wants = wantsOf(
      [
        candidate('hard', { ease: 0.2, restDays: 3 }),
        candidate('easy', { ease: 0.8, restDays: 3 }),
        candidate('easier but new', { ease: 0.9 }),
        candidate('weak spot', { skills: ['break'], ease: 0.4, restDays: 20 }),
      ],
      [
        { skill: 'potting', rating: 60, low: 54, high: 66 },
        { skill: 'break', rating: 30, low: 24, high: 36 },
      ],
    );
    expect(wants.find(({ kind }) => kind === 'warm-up')?.drill).toBe('easy');
    const main = wants.filter(({ kind }) => kind === 'main');
    expect(main[0]).toMatchObject({ drill: 'weak spot', skill: 'break', behind: 15 });
    for (const { gain } of wants) expect(gain > 0 && gain <= 1).toBe(true);
    expect(wantsOf([], [])).toEqual([]);
  });
});
