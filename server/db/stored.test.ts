import { expect, it } from 'vitest';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import { fromStored, storedCheck, toStored } from './stored.ts';

const levels = LEVEL_NAMES.map((level) => ({ level, potted: 0.5, round: [0.25, 0.75] }));
const NEWEST = { executions: 10, wholeRounds: true, unit: 'hits', better: 'high', levels } as const;

it('a document of an older version is read as the newest one, and one of today as it is', () => {
  const old = fromStored('benchmark', JSON.stringify({ executions: 10, levels }));
  expect(old).toMatchObject({ wholeRounds: false, unit: 'points', better: 'high' });
  expect(fromStored('benchmark', toStored('benchmark', NEWEST))).toEqual(NEWEST);
  // Between the versions some said all of it, and not that they did.
  expect(fromStored('benchmark', JSON.stringify(NEWEST))).toEqual(NEWEST);
});

it('what is written says its version, as soon as there is more than one', () => {
  expect(JSON.parse(toStored('benchmark', NEWEST))).toMatchObject({ v: 2 });
  expect(JSON.parse(toStored('bands', { from: [1, null, 3, 4, 5] }))).toEqual({ from: [1, null, 3, 4, 5] });
});

it.each([
  ['of a version to come', JSON.stringify({ ...NEWEST, v: 3 })],
  ['of no version', JSON.stringify({ ...NEWEST, v: 'two' })],
  ['that was cut off', '{"executions": 10, "lev'],
  ['that lacks its levels', '{"executions": 10}'],
  ['that is a list', '[]'],
])('one %s is refused', (_, text) => {
  expect(() => fromStored('benchmark', text)).toThrow();
  expect(() => storedCheck('benchmark').validateSync(text)).toThrow();
});
