import { expect, it } from 'vitest';
import { featuresOf, scalesOf } from './features.ts';

it('a scale is told by medians, and never narrower than the tape can tell', () => {
  const [wide, narrow] = scalesOf(
    [
      [1.0, 0.5],
      [1.1, 0.5],
      [0.9, 0.5],
      [9.0, 0.5],
      [1.0, 0.5],
    ],
    [0.005, 0.005],
  );
  expect(wide?.middle).toBe(1);
  expect(wide?.width).toBeCloseTo(0.15, 9);
  expect(narrow).toEqual({ middle: 0.5, width: 0.02 });
});

it('readings, their products and what could not be read are means over the playings', () => {
  const scales = [
    { middle: 1, width: 1 },
    { middle: 0, width: 1 },
  ];
  const features = featuresOf(
    [
      [1.1, 0.2],
      [0.9, undefined],
    ],
    scales,
  );
  // a, b, a², ab, b², a unread, b unread; small numbers are nearly themselves.
  const expected = [0, 0.1, 0.01, 0.01, 0.02, 0, 0.5];
  features.forEach((value, i) => expect(value).toBeCloseTo(expected[i] ?? NaN, 2));
});

it('one slip of the tape is not believed by its size', () => {
  const scales = [{ middle: 0, width: 0.02 }];
  const at = (value: number) => featuresOf([[0], [0], [value]], scales)[0] ?? NaN;
  expect(at(1) - at(0.2)).toBeLessThan(0.1);
  expect(at(1)).toBeLessThan(4 / 3 + 1e-9);
});
