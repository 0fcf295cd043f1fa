import { expect, it } from 'vitest';
import { resultSchema, storedResultSchema } from './result.ts';

const RIGHT = { value: 3, unit: 'hits', better: 'high', maximum: 10, complete: true, censored: false };

it.each([
  ['a whole one', RIGHT],
  ['one without a maximum', { ...RIGHT, maximum: null }],
  ['a negative one, the fewer the better', { ...RIGHT, value: -2.5, better: 'low' }],
  ['no value', { ...RIGHT, value: undefined }],
  ['a text for a value', { ...RIGHT, value: '3' }],
  ['an endless value', { ...RIGHT, value: Infinity }],
  ['a unit that nobody counts in', { ...RIGHT, unit: 'goals' }],
  ['no side that is better', { ...RIGHT, better: 'both' }],
  ['a maximum that is missing', { value: 3, unit: 'hits', better: 'high', complete: true, censored: false }],
  ['a number for complete', { ...RIGHT, complete: 1 }],
  ['nothing', null],
  ['a list', []],
])('a stored result is looked at in one go as field by field: %s', (_, value) => {
  expect(storedResultSchema.isValidSync(value)).toBe(resultSchema.isValidSync(value));
});
