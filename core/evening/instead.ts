import type { EveningAsk, Turn } from './ask.ts';
import { isFree, NOBODY, slotsOf, timetableOf, type Places } from './timetable.ts';

/** Who stands where by some turns. Turns that do not begin with a slot are left out. */
export function placesOf(
  ask: EveningAsk,
  turns: readonly Pick<Turn, 'student' | 'table' | 'from'>[],
): Places {
  const { students, tables, from: begin, rules } = ask;
  const places = new Array<number>(slotsOf(ask) * tables.length).fill(NOBODY);
  for (const { student, table, from } of turns) {
    const slot = (from - begin) / rules.turn;
    const at = tables.findIndex(({ id }) => id === table);
    const cell = slot * tables.length + at;
    if (at >= 0 && Number.isInteger(slot) && cell >= 0 && cell < places.length) {
      places[cell] = students.findIndex(({ id }) => id === student);
    }
  }
  return places;
}

/** Who could have had a turn instead, and what of the evening's worth that would have cost, 0…1. */
export interface Instead {
  readonly student: string;
  readonly costs: number;
}

/**
 * What a turn was weighed against: of the students who are free then the one who would cost least in that place, the rest
 * of the timetable as it is. @returns undefined where nobody else is free, or the evening is worth nothing
 */
export function insteadOf(ask: EveningAsk, turns: readonly Turn[], turn: Turn): Instead | undefined {
  const { students, tables, from: begin, rules } = ask;
  const places = placesOf(ask, turns);
  const slot = (turn.from - begin) / rules.turn;
  const at = tables.findIndex(({ id }) => id === turn.table);
  const table = tables[at];
  const { worth } = timetableOf(ask, places);
  if (table === undefined || worth <= 0) return undefined;
  const row = places.slice(slot * tables.length, (slot + 1) * tables.length);
  let best: Instead | undefined;
  for (const [number, student] of students.entries()) {
    if (row.includes(number) || !isFree(ask, student, table, slot)) continue;
    const other = [...places];
    other[slot * tables.length + at] = number;
    const costs = (worth - timetableOf(ask, other).worth) / worth;
    if (best === undefined || costs < best.costs) best = { student: student.id, costs };
  }
  return best;
}
