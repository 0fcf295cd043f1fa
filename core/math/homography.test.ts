import { expect, it } from 'vitest';
import { homographyOf, mapped } from './homography.ts';

const SQUARE = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
] as const;
const SEEN = [
  [120, 80],
  [900, 140],
  [820, 610],
  [40, 520],
] as const;

it('a map takes its four points where it was told, and straight lines to straight lines', () => {
  const map = homographyOf(SQUARE, SEEN);
  SQUARE.forEach((point, i) => {
    const [u, v] = mapped(map, point);
    expect(u).toBeCloseTo(SEEN[i]?.[0] ?? NaN, 6);
    expect(v).toBeCloseTo(SEEN[i]?.[1] ?? NaN, 6);
  });
  const [a, b, c] = [0.1, 0.45, 0.9].map((share) => mapped(map, [share, 1 - share]));
  const area =
    ((b?.[0] ?? 0) - (a?.[0] ?? 0)) * ((c?.[1] ?? 0) - (a?.[1] ?? 0)) -
    ((b?.[1] ?? 0) - (a?.[1] ?? 0)) * ((c?.[0] ?? 0) - (a?.[0] ?? 0));
  expect(Math.abs(area)).toBeLessThan(1e-6);
  // The diagonals of a square meet in its middle, and so do those of its picture.
  const [u, v] = mapped(map, [0.5, 0.5]);
  const [p, q, r, s] = SEEN;
  const cross = (x: readonly [number, number], y: readonly [number, number]) =>
    (y[0] - x[0]) * (v - x[1]) - (y[1] - x[1]) * (u - x[0]);
  expect(Math.abs(cross(p, r)) / 1000).toBeLessThan(1e-6);
  expect(Math.abs(cross(q, s)) / 1000).toBeLessThan(1e-6);
});

it('the way back is the map of the points exchanged', () => {
  const [there, back] = [homographyOf(SQUARE, SEEN), homographyOf(SEEN, SQUARE)];
  const [x, y] = mapped(back, mapped(there, [0.3, 0.8]));
  expect(x).toBeCloseTo(0.3, 9);
  expect(y).toBeCloseTo(0.8, 9);
});

it('three points on a line are refused', () => {
  const flat = [
    [0, 0],
    [1, 0],
    [2, 0],
    [0, 1],
  ] as const;
  expect(() => homographyOf(flat, SEEN)).toThrow(RangeError);
  expect(() => homographyOf(SQUARE, flat)).toThrow(RangeError);
});
