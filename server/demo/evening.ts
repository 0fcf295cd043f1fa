import type { PoolConnection } from 'mysql2/promise';
import { lessonsOfEvening } from '../../core/evening/lessons.ts';
import { planEvening } from '../../core/evening/planEvening.ts';
import { FIRST_RULES } from '../../core/records/clubRules.ts';
import { insertLesson } from '../db/queries/lessons.ts';
import { eveningWantsOf, kitOf } from '../players/nextDrills.ts';
import { DEMO_COACHES, DEMO_SEED } from './people.ts';
import { DEMO_TABLES } from './tables.ts';

const DAY_MS = 86_400_000;
const YEAR_MS = 365 * DAY_MS;
const BEGINS = '18:30';
const MINUTES = 120;
const TURN = 20;
const STUDENTS = ['Ansel Brook', 'Corin Ash', 'Idris Pell', 'Junia Marsh', 'Marit Quill'];
const TABLES = ['Pool room, table 2', 'Pool room, table 4'];

/** Plans the demo's evening of tomorrow, as a coach would have it planned from what the players have shown. */
export async function storeEvening(
  db: PoolConnection,
  options: { readonly clubId: string; readonly now: number; readonly idOf: (name: string) => string },
): Promise<void> {
  const { clubId, now, idOf } = options;
  const [first, second] = DEMO_COACHES;
  const coaches = [idOf(first.name), idOf(second.name)];
  const kit = await kitOf(db, { clubId, id: idOf(first.name) }, new Date(now));
  const period = { from: new Date(now - YEAR_MS), to: new Date(now) };
  const students = [];
  for (const id of STUDENTS.map(idOf)) {
    const { wants } = await eveningWantsOf(db, { clubId, id }, period, kit);
    students.push({ id, wants, from: 0, played: [] });
  }
  const { restAfter, most } = FIRST_RULES;
  const tables = TABLES.flatMap((name) => {
    const table = DEMO_TABLES.find((each) => each.name === name);
    return table === undefined ? [] : [{ id: idOf(name), preset: table.card.preset, from: 0 }];
  });
  const rules = { turn: TURN, restAfter, most };
  const plan = planEvening({ students, tables, coaches, from: 0, until: MINUTES, rules }, DEMO_SEED);
  let made = 0;
  const lessons = lessonsOfEvening(
    {
      evening: { id: idOf('evening'), begins: BEGINS, minutes: MINUTES, coachIds: coaches, ...rules },
      day: new Date(now + DAY_MS).toISOString().slice(0, 10),
      titleOf: (id) => `Evening at ${TABLES.find((name) => idOf(name) === id) ?? 'a table'}`,
      newId: () => idOf(`evening ${String(made++)}`),
    },
    plan.turns,
    [],
  );
  for (const { id, document } of lessons)
    await insertLesson(db, { id, clubId, heldBy: idOf(first.name), document });
}
