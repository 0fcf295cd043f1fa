import { expect, it } from 'vitest';
import { normalCdf } from './normal.ts';

it('agrees with tabled values of the normal distribution', () => {
  expect(normalCdf(0)).toBe(0.5);
  expect(normalCdf(1)).toBeCloseTo(0.841344746068543, 14);
  expect(normalCdf(-1.959963984540054)).toBeCloseTo(0.025, 14);
  expect(normalCdf(3)).toBeCloseTo(0.9986501019683699, 14);
  expect(normalCdf(-9)).toBe(0);
  expect(normalCdf(9)).toBe(1);
});
