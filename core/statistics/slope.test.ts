import { expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { robustSlope } from './slope.ts';
import { Z_90 } from './wilson.ts';

it('is the slope of a straight line, and one wild value does not move it', () => {
  const line = Array.from({ length: 9 }, (_, i) => ({ at: i, value: 3 + 0.5 * i }));
  expect(robustSlope(line, Z_90)).toMatchObject({ slope: 0.5, low: 0.5, high: 0.5 });
  const wild = line.map((each, i) => (i === 4 ? { ...each, value: 90 } : each));
  expect(robustSlope(wild, Z_90).slope).toBeCloseTo(0.5, 12);
});

it('is worked by hand for three values: slopes −1, 1 and 3', () => {
  const three = [
    { at: 0, value: 0 },
    { at: 1, value: -1 },
    { at: 2, value: 2 },
  ];
  // So few decide nothing: the interval has no ends.
  expect(robustSlope(three, Z_90)).toEqual({ slope: 1, low: -Infinity, high: Infinity });
});

it('covers the true slope in nine of ten samples of normal noise', () => {
  const random = createRandom(12);
  let covered = 0;
  for (let sample = 0; sample < 1000; sample++) {
    const noisy = Array.from({ length: 14 }, (_, i) => ({ at: i, value: 0.3 * i + 2 * random.normal() }));
    const { low, high } = robustSlope(noisy, Z_90);
    if (low <= 0.3 && 0.3 <= high) covered++;
  }
  // Rounded outwards, so rather more than less; 900 ± 3 standard deviations of 9.5.
  expect(covered).toBeGreaterThan(871);
  expect(covered).toBeLessThan(955);
});

it('needs two values at different times', () => {
  expect(() => robustSlope([{ at: 1, value: 2 }], Z_90)).toThrow('different times');
  expect(() =>
    robustSlope(
      [
        { at: 1, value: 2 },
        { at: 1, value: 3 },
      ],
      Z_90,
    ),
  ).toThrow('different times');
});
