import { expect, it } from 'vitest';
import { nearestBall } from './nearestBall.ts';

it('in a rack the ball that was tapped is the nearest one, and beside all of them none', () => {
  const places = new Map([
    ['1', { x: 1, y: 0.5 }],
    ['2', { x: 1.05, y: 0.47 }],
    ['3', null],
  ]);
  const tapped = (x: number, y: number) => nearestBall(['1', '2', '3'], places, { x, y }, 0.0286);
  expect(tapped(1.04, 0.475)).toBe('2');
  expect(tapped(1.01, 0.49)).toBe('1');
  expect(tapped(1.5, 0.5)).toBeUndefined();
  expect(nearestBall([], places, { x: 1, y: 0.5 }, 0.03)).toBeUndefined();
});
