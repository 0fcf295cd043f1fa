import { expect, it } from 'vitest';
import { causeSharesWords, standsOut } from './causeWords.ts';

const shares = [
  { error: 'pace', share: 0.52, low: 0.4, high: 0.63 },
  { error: 'line', share: 0.27, low: 0.14, high: 0.39 },
  { error: 'side', share: 0.03, low: 0, high: 0.1 },
] as const;

it('names the errors that count, with their intervals', () => {
  expect(causeSharesWords(shares)).toBe('pace 52 % (40 to 63), line 27 % (14 to 39)');
});

it('says that one stands out only where chance does not explain it', () => {
  expect(standsOut(shares)).toBe(true);
  expect(standsOut([{ ...shares[0], low: 0.38 }, shares[1]])).toBe(false);
  expect(standsOut([])).toBe(false);
});
