import { expect, it } from 'vitest';
import { attributionWords } from '../scoring/landingWords.ts';
import { resultWords } from './resultWords.ts';

const result = { better: 'high', maximum: null, complete: true, censored: false } as const;

it.each([
  [{ ...result, value: 30, unit: 'points' as const }, '30 points'],
  [{ ...result, value: 1, unit: 'points' as const }, '1 point'],
  [{ ...result, value: 1, unit: 'tries' as const }, '1 try'],
  [{ ...result, value: 3, unit: 'tries' as const, censored: true }, '> 3 tries'],
  [{ ...result, value: 1, unit: 'run' as const }, '1 run'],
])('a result in words: %j is %s', (given, words) => {
  expect(resultWords(given)).toBe(words);
});

it('a cause says how much, and that it cannot be told where it cannot', () => {
  const told = { kind: 'told' as const, probability: 0.9 };
  expect(attributionWords({ ...told, error: 'pace', cause: 'too hard', amount: 0.083 })).toBe(
    'about 8 % too hard',
  );
  expect(attributionWords({ ...told, error: 'line', cause: 'thin', amount: -0.21 })).toBe(
    'thin, the line about 0.2° off',
  );
  expect(attributionWords({ ...told, error: 'height', cause: 'too low', amount: -0.12 })).toBe(
    'too low, the tip about 12 % of a radius off',
  );
  expect(attributionWords({ kind: 'cannot tell', between: ['pace', 'height'] })).toBe(
    'cannot tell: pace or height of the tip',
  );
  expect(attributionWords({ kind: 'cannot tell', between: [] })).toContain('no single error');
  expect(attributionWords({ kind: 'on plan' })).toBe('as planned');
});
