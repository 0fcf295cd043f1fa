import dayjs from 'dayjs';
import { todayInClub } from '../../words/clubTime.ts';
import { FIRST_RULES, STRAIN_BOUNDS, type ClubRules } from '../../../core/records/clubRules.ts';
import type { EveningAsk } from '../../../core/evening/ask.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import type { EveningWants } from '../../../core/records/evening.ts';

/** What is asked for of an evening; it stands in the address, so that nothing of it is lost. */
export interface EveningAsked {
  readonly day: string;
  /** "18:30". */
  readonly begins: string;
  readonly minutes: number;
  readonly turn: number;
  readonly restAfter: number;
  readonly most: number;
  readonly students: readonly string[];
  readonly tables: readonly string[];
  readonly coaches: readonly string[];
}

const CLOCK = /^([01]\d|2[0-3]):[0-5]\d$/;

/** A whole number of an address within its bounds, or what stands there otherwise. */
function numberOf(params: URLSearchParams, name: string, [least, most, otherwise]: Bounds): number {
  const text = params.get(name);
  const value = Number(text);
  return text !== null && Number.isInteger(value) && value >= least && value <= most ? value : otherwise;
}
type Bounds = readonly [least: number, most: number, otherwise: number];

/** Bounds of the numbers, and what they are as long as nobody says. */
export const BOUNDS = {
  minutes: [20, 600, 120],
  turn: [5, 60, 20],
  restAfter: [...STRAIN_BOUNDS.restAfter, FIRST_RULES.restAfter],
  most: [...STRAIN_BOUNDS.most, FIRST_RULES.most],
} as const satisfies Record<string, Bounds>;

/** @param params of the address @param all ids that there are: others are left out @param rules the club's own, as long as nobody says otherwise */
export function eveningAsked(
  params: URLSearchParams,
  all: {
    readonly students: readonly string[];
    readonly tables: readonly string[];
    readonly coaches: readonly string[];
  },
  rules: Pick<ClubRules, 'restAfter' | 'most'>,
): EveningAsked {
  const begins = params.get('begins') ?? '';
  const day = params.get('day') ?? '';
  const known = (name: string, ids: readonly string[]) =>
    params.getAll(name).filter((id, i, list) => ids.includes(id) && list.indexOf(id) === i);
  return {
    day: dayjs(day, 'YYYY-MM-DD').isValid() && day !== '' ? day : todayInClub(),
    begins: CLOCK.test(begins) ? begins : '18:30',
    minutes: numberOf(params, 'minutes', BOUNDS.minutes),
    turn: numberOf(params, 'turn', BOUNDS.turn),
    restAfter: numberOf(params, 'rest', [...STRAIN_BOUNDS.restAfter, rules.restAfter]),
    most: numberOf(params, 'most', [...STRAIN_BOUNDS.most, rules.most]),
    students: known('student', all.students),
    tables: known('table', all.tables),
    coaches: known('coach', all.coaches),
  };
}

/** The question for a new evening. */
export function askOf(
  { students, tables, coaches, minutes, turn, restAfter, most }: EveningAsked,
  wants: EveningWants,
  clubTables: readonly ClubTable[],
): EveningAsk {
  return {
    students: students.map((id) => ({
      id,
      wants: wants.find(({ playerId }) => playerId === id)?.wants ?? [],
      from: 0,
      played: [],
    })),
    tables: tables.flatMap((id) => {
      const table = clubTables.find((each) => each.id === id);
      return table === undefined ? [] : [{ id, preset: table.preset, from: 0 }];
    }),
    coaches,
    from: 0,
    until: minutes,
    rules: { turn, restAfter, most },
  };
}
