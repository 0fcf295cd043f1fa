import 'fake-indexeddb/auto';
import { QueryClient } from '@tanstack/react-query';
import { expect, it, vi } from 'vitest';
import { programmeQuery } from '../api/programmes.ts';
import { databaseInMemory } from '../testing/device.ts';
import { item, programme } from '../testing/programme.ts';
import { readJournal } from './journal.ts';
import { tickItem, withWaitingTicks } from './ticks.ts';

const database = databaseInMemory();
vi.mock('idb-keyval', () => ({
  get: (...args: Parameters<typeof database.get>) => database.get(...args),
  update: (...args: Parameters<typeof database.update>) => database.update(...args),
}));

const ONE = '00000000-0000-4000-8000-000000000001';
const TWO = '00000000-0000-4000-8000-000000000002';
const WREN = { id: 'wren', name: 'Wren' };
const ticked = (each: ReturnType<typeof programme> | undefined) =>
  each?.programme.ticks.map((tick) => tick.item);

it('a tick is seen and kept as its student’s at once, and laid over what the server knew before it', () => {
  const queries = new QueryClient();
  const before = programme([item(ONE), item(TWO)], { ticked: [TWO] });
  queries.setQueryData(programmeQuery('p').queryKey, before);
  tickItem(queries, WREN, 'p', ONE, true);
  tickItem(queries, WREN, 'p', TWO, false);
  expect(ticked(queries.getQueryData(programmeQuery('p').queryKey))).toEqual([ONE]);

  const waiting = readJournal().flatMap(({ sendings }) => sendings);
  expect(waiting.map(({ person, path, body }) => [person.id, path, body])).toEqual([
    ['wren', `/programmes/p/items/${ONE}/done`, { done: true }],
    ['wren', `/programmes/p/items/${TWO}/done`, { done: false }],
  ]);
  expect(ticked(withWaitingTicks(before, waiting))).toEqual([ONE]);
  expect(withWaitingTicks(before, [])).toEqual(before);
});
