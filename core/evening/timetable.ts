import type { Want } from '../records/evening.ts';
import { stretchOf, type EveningAsk, type EveningStudent, type EveningTable, type Turn } from './ask.ts';
import { strainOf } from './strain.ts';

/** Who stands at each table in each slot: number of the student, −1 for nobody; slot by slot, table by table. */
export type Places = readonly number[];

export const NOBODY = -1;

/** Weights of the rule; a rule of thumb, not a measurement. */
const WEIGHT = {
  /** Of each further turn of a student against the one before: so turns are shared out. */
  later: 0.7,
  /** A student who has a turn at all: more than any other turn is worth. */
  comes: 2,
  /** Of a drill that trains the same as the one before it, and of one that was played tonight already. */
  same: 0.6,
  again: 0.25,
  /** A first turn that is no warm-up. */
  cold: 0.3,
  /** A turn at another table than the last, and each slot of waiting beyond one. */
  move: 0.05,
  wait: 0.04,
  /** A turn without the rest that is due, or beyond what an evening may hold; more than any turn is worth. */
  strain: 3,
  /** A turn at a table on which nothing of the student's can be played. */
  unfit: 3,
  /** What a coach beside the table adds, and how much less the next time. */
  watched: 0.3,
  watchedLater: 0.6,
} as const;

/** The slots of what is planned: how many whole turns fit in. */
export function slotsOf({ from, until, rules }: EveningAsk): number {
  return Math.max(0, Math.floor((until - from) / rules.turn));
}

/** When a slot begins, minutes after the evening's beginning. */
export const slotFrom = ({ from, rules }: EveningAsk, slot: number): number => from + slot * rules.turn;

/** Whether a student may stand at a table in a slot at all. */
export function isFree(ask: EveningAsk, student: EveningStudent, table: EveningTable, slot: number): boolean {
  const begin = slotFrom(ask, slot);
  return student.from <= begin && table.from <= begin;
}

/** A student's turns, and what they are worth. */
interface Course {
  readonly turns: readonly Turn[];
  readonly worth: number;
}

/** The drill for a turn: a warm-up first, then what is gained most by, the skill of the turn before and what was played less. */
function wantFor(
  student: EveningStudent,
  table: EveningTable,
  before: readonly { readonly drill: string; readonly skill?: string }[],
): { readonly want: Want; readonly worth: number } | undefined {
  const last = before.at(-1);
  let best: { readonly want: Want; readonly worth: number } | undefined;
  for (const want of student.wants) {
    if (!want.tables.includes(table.preset)) continue;
    if ((want.kind === 'warm-up') !== (before.length === 0)) continue;
    const again = before.some(({ drill }) => drill === want.drill) ? WEIGHT.again : 1;
    const same = last?.skill === want.skill ? WEIGHT.same : 1;
    const worth = want.gain * again * same;
    if (best === undefined || worth > best.worth) best = { want, worth };
  }
  if (best !== undefined || before.length > 0) return best;
  // Without a warm-up one begins cold.
  const cold = wantFor(student, table, [{ drill: '' }]);
  return cold && { want: cold.want, worth: cold.worth - WEIGHT.cold };
}

function courseOf(ask: EveningAsk, places: Places, number: number): Course {
  const student = ask.students[number];
  if (student === undefined) return { turns: [], worth: 0 };
  const { turn, restAfter, most } = ask.rules;
  const turns: Turn[] = [];
  const before: { readonly drill: string; readonly skill?: string }[] = [...student.played];
  const lastPlayed = student.played.at(-1);
  let { minutes, inOneRun: run } = strainOf(student.played.map(stretchOf), turn);
  let worth = 0;
  let over = lastPlayed?.until;
  const count = ask.tables.length;
  for (let cell = 0; cell < places.length; cell++) {
    if (places[cell] !== number) continue;
    const table = ask.tables[cell % count];
    if (table === undefined) continue;
    const from = slotFrom(ask, Math.floor(cell / count));
    const waited = over === undefined ? 0 : from - over;
    run = over !== undefined && waited < turn ? run + turn : turn;
    minutes += turn;
    if (run > restAfter) worth -= WEIGHT.strain;
    if (minutes > most) worth -= WEIGHT.strain;
    if (over !== undefined && waited > turn) worth -= (WEIGHT.wait * (waited - turn)) / turn;
    const previous = turns.at(-1);
    if (previous !== undefined && previous.table !== table.id) worth -= WEIGHT.move;
    over = from + turn;
    const found = wantFor(student, table, before);
    if (found === undefined) {
      worth -= WEIGHT.unfit;
      continue;
    }
    worth += found.worth * WEIGHT.later ** before.length;
    const { want } = found;
    before.push(want);
    turns.push({ student: student.id, table: table.id, from, minutes: turn, want, coach: undefined });
  }
  if (before.length > 0) worth += WEIGHT.comes;
  return { turns, worth };
}

/** A timetable, and what it is worth. */
export interface Timetable {
  readonly turns: readonly Turn[];
  readonly worth: number;
}

/**
 * What comes of who stands where: each turn's drill, the coaches where they help most, and the worth of it all.
 * @param places slots times tables @returns the worth without unit: a certain turn of most gain counts 1
 */
export function timetableOf(ask: EveningAsk, places: Places): Timetable {
  const courses = ask.students.map((_, number) => courseOf(ask, places, number));
  const all = courses.flatMap(({ turns }) => turns);
  const { turns, worth } = withCoaches(ask, all);
  return { turns, worth: courses.reduce((sum, course) => sum + course.worth, worth) };
}

/** In each slot the coaches watch those turns that gain most, whoever was watched before less. */
function withCoaches({ coaches, students }: EveningAsk, all: readonly Turn[]): Timetable {
  const seen = new Map(students.map(({ id }) => [id, 0]));
  const turns: Turn[] = [];
  let worth = 0;
  for (const from of [...new Set(all.map((each) => each.from))].sort((a, b) => a - b)) {
    const here = all
      .filter((each) => each.from === from)
      .map((each) => ({
        each,
        adds: WEIGHT.watched * each.want.gain * WEIGHT.watchedLater ** (seen.get(each.student) ?? 0),
      }))
      .sort((a, b) => b.adds - a.adds);
    for (const [rank, { each, adds }] of here.entries()) {
      const coach = coaches[rank];
      turns.push({ ...each, coach });
      if (coach === undefined) continue;
      worth += adds;
      seen.set(each.student, (seen.get(each.student) ?? 0) + 1);
    }
  }
  return { turns, worth };
}
