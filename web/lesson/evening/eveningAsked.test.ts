import { expect, it } from 'vitest';
import { FIRST_RULES } from '../../../core/records/clubRules.ts';
import { askOf, eveningAsked } from './eveningAsked.ts';

const ALL = { students: ['wren', 'pim'], tables: ['t1', 't2'], coaches: ['ada'] };

it('reads an evening from the address, and leaves out what there is not', () => {
  const params = new URLSearchParams(
    'student=wren&student=gone&student=wren&table=t2&coach=ada&day=2026-12-01&begins=19:05&minutes=90&turn=15',
  );
  expect(eveningAsked(params, ALL, FIRST_RULES)).toEqual({
    day: '2026-12-01',
    begins: '19:05',
    minutes: 90,
    turn: 15,
    restAfter: 60,
    most: 100,
    students: ['wren'],
    tables: ['t2'],
    coaches: ['ada'],
  });
  for (const wrong of ['minutes=a', 'minutes=100000', 'minutes=0.5', 'begins=25:00', 'begins=now']) {
    expect(eveningAsked(new URLSearchParams(wrong), ALL, FIRST_RULES)).toMatchObject({
      minutes: 120,
      begins: '18:30',
    });
  }
});

it('asks for the students with what they gain by, and the tables that the club has', () => {
  const asked = eveningAsked(new URLSearchParams('student=wren&student=pim&table=t1'), ALL, FIRST_RULES);
  const ask = askOf(asked, [{ playerId: 'pim', wants: [] }], []);
  expect(ask.students.map(({ id, wants, from }) => [id, wants.length, from])).toEqual([
    ['wren', 0, 0],
    ['pim', 0, 0],
  ]);
  expect(ask.tables).toEqual([]);
  expect(ask).toMatchObject({ from: 0, until: 120, rules: { turn: 20, restAfter: 60, most: 100 } });
});

it('begins with the strain that the club has settled, until somebody says otherwise', () => {
  const rules = { restAfter: 40, most: 75 };
  expect(eveningAsked(new URLSearchParams(), ALL, rules)).toMatchObject(rules);
  expect(eveningAsked(new URLSearchParams('most=90'), ALL, rules)).toMatchObject({ restAfter: 40, most: 90 });
});
