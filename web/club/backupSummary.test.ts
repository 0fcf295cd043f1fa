import { expect, it } from 'vitest';
import { summaryOfBackup } from './backupSummary.ts';

const backup = {
  format: 'jolly-rail/club',
  version: 1,
  madeAt: new Date(2026, 10, 24, 19, 40).toISOString(),
  club: { name: 'Curlew Bridge' },
  tables: { people: [{}, {}], rounds: [{}], attempts: [{}, {}, {}], calls: [] },
};

it('a backup is told before it is sent: whose, of when, how much', () => {
  expect(summaryOfBackup(JSON.stringify(backup))).toEqual({
    club: 'Curlew Bridge',
    madeAt: '24 Nov, 19:40',
    people: 2,
    rounds: 1,
    attempts: 3,
  });
});

it.each([
  ['no JSON', '{"format":'],
  ['another file', JSON.stringify({ ...backup, format: 'jolly-rail/drill' })],
  ['without its attempts', JSON.stringify({ ...backup, tables: { people: [], rounds: [] } })],
  ['without a club', JSON.stringify({ ...backup, club: undefined })],
  ['a bare value', 'null'],
])('%s is no backup', (_, text) => {
  expect(summaryOfBackup(text)).toBeUndefined();
});
