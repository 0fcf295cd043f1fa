import { stretchOf, type EveningAsk, type Turn } from './ask.ts';
import { strainOf, type Strain } from './strain.ts';

/** What is wrong with a turn of a timetable that was changed by hand. */
export type Clash =
  | 'two at this table'
  | 'at two tables at once'
  | 'not there yet'
  | 'table not free yet'
  | 'not for this table'
  | 'coach at two tables at once'
  | 'no rest before it'
  | 'more than the evening holds';

const overlap = (a: Turn, b: Turn) => a.from < b.from + b.minutes && b.from < a.from + a.minutes;

/** What is wrong with each turn, in the order of the turns; an empty list for one with which nothing is. */
export function clashesOf(ask: EveningAsk, turns: readonly Turn[]): readonly (readonly Clash[])[] {
  return turns.map((turn) => {
    const others = turns.filter((other) => other !== turn && overlap(turn, other));
    const student = ask.students.find(({ id }) => id === turn.student);
    const table = ask.tables.find(({ id }) => id === turn.table);
    const { minutes, inOneRun } = strainAt(ask, turns, turn);
    const found: (Clash | false)[] = [
      others.some((other) => other.table === turn.table) && 'two at this table',
      others.some((other) => other.student === turn.student) && 'at two tables at once',
      student !== undefined && turn.from < student.from && 'not there yet',
      (table === undefined || turn.from < table.from) && 'table not free yet',
      table !== undefined && !turn.want.tables.includes(table.preset) && 'not for this table',
      turn.coach !== undefined &&
        others.some((other) => other.coach === turn.coach) &&
        'coach at two tables at once',
      inOneRun > ask.rules.restAfter && 'no rest before it',
      minutes > ask.rules.most && 'more than the evening holds',
    ];
    return found.filter((each) => each !== false);
  });
}

/** What a student has behind them by the end of a turn. */
function strainAt({ students, rules }: EveningAsk, turns: readonly Turn[], turn: Turn): Strain {
  const played = students.find(({ id }) => id === turn.student)?.played ?? [];
  const own = turns.filter((each) => each.student === turn.student && each.from <= turn.from);
  return strainOf([...played.map(stretchOf), ...own], rules.turn);
}
