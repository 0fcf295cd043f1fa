// @vitest-environment jsdom
import { readFileSync } from 'node:fs';
import { afterEach, expect, it, vi } from 'vitest';
import { readJournal, strikeFromJournal, writeToJournal, type JournalEntry } from './journal.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { standardCard } from '../../core/table/card.ts';
import { round } from '../testing/round.ts';

const KEY = 'jolly-journal';
const DRILL = drillSchema.validateSync(JSON.parse(readFileSync('library/harbour-turn.drill.json', 'utf8')));
const ROUND = '00000000-0000-4000-8000-000000000001';

function entry(id: string): JournalEntry {
  const played = round({ id: ROUND });
  return {
    id,
    open: {
      round: {
        ...played,
        player: { ...played.player, id: ROUND },
        table: { ...played.table, id: ROUND },
      },
      document: DRILL,
      tableState: { revision: 1, card: { ...standardCard('pool-9ft'), measured: [] }, conditions: null },
      underWay: null,
      conflicts: [],
    },
    sendings: [
      { roundId: ROUND, method: 'PUT', path: `/rounds/${ROUND}`, body: { stage: 1 }, label: 'a round' },
    ],
  };
}

afterEach(() => {
  vi.restoreAllMocks();
  localStorage.clear();
});

it('what cannot be read is left out, and does not stand in the way of the next step', () => {
  localStorage.setItem(KEY, '[{"id":"half');
  expect(readJournal()).toEqual([]);
  localStorage.setItem(KEY, '[{"id":"a step of long ago"}]');
  expect(readJournal()).toEqual([]);
});

it('keeps nothing once every step is struck out', () => {
  localStorage.setItem(KEY, '[]');
  strikeFromJournal('never written');
  expect(localStorage.getItem(KEY)).toBeNull();
});

it('a browser without room for it goes on: the database is what counts', () => {
  const setItem = vi.spyOn(Storage.prototype, 'setItem');
  setItem.mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  expect(() => writeToJournal(entry('a'))).not.toThrow();
  setItem.mockImplementation(() => {
    throw new TypeError('a fault of ours');
  });
  expect(() => writeToJournal(entry('a'))).toThrow(TypeError);
});

it('steps are read as they were written, oldest first, and struck out one by one', () => {
  writeToJournal(entry('a'));
  writeToJournal(entry('b'));
  expect(readJournal().map(({ id }) => id)).toEqual(['a', 'b']);
  expect(readJournal()[0]?.sendings).toEqual(entry('a').sendings);
  strikeFromJournal('a');
  expect(readJournal().map(({ id }) => id)).toEqual(['b']);
});
