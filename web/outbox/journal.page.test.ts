import { afterEach, expect, it, vi } from 'vitest';
import { readJournal, strikeFromJournal, writeToJournal, type JournalEntry } from './journal.ts';

const KEY = 'jolly-journal-2';

function entry(id: string): JournalEntry {
  const request = { topic: 'round:1', method: 'PUT' as const, path: '/rounds/1', body: { stage: 1 } };
  const at = '2026-11-24T12:00:00Z';
  return {
    id,
    sendings: [{ ...request, id: `${id}-1`, person: { id: 'ida', name: 'Ida' }, label: 'a round', at }],
  };
}

afterEach(() => {
  vi.restoreAllMocks();
  for (const { id } of readJournal()) strikeFromJournal(id);
  localStorage.clear();
});

it('what cannot be read is left out, and does not stand in the way of the other steps', () => {
  localStorage.setItem(KEY, '[{"id":"half');
  expect(readJournal()).toEqual([]);
  localStorage.setItem(KEY, JSON.stringify([{ id: 'a step of long ago' }, entry('a')]));
  expect(readJournal()).toEqual([entry('a')]);
});

it('keeps nothing once every step is struck out', () => {
  localStorage.setItem(KEY, '[]');
  strikeFromJournal('never written');
  expect(localStorage.getItem(KEY)).toBeNull();
});

it('in a browser without room for it, this page still knows what it has not stored', () => {
  const setItem = vi.spyOn(Storage.prototype, 'setItem');
  setItem.mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  writeToJournal(entry('a'));
  expect(readJournal()).toEqual([entry('a')]);
  setItem.mockImplementation(() => {
    throw new TypeError('a fault of ours');
  });
  expect(() => writeToJournal(entry('b'))).toThrow(TypeError);
});

it('steps are read as they were written, oldest first, and struck out one by one', () => {
  writeToJournal(entry('a'));
  writeToJournal(entry('b'));
  expect(readJournal()).toEqual([entry('a'), entry('b')]);
  strikeFromJournal('a');
  expect(readJournal().map(({ id }) => id)).toEqual(['b']);
});
