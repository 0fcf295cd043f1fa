import { expect, it } from 'vitest';
import { arrowStep } from './arrowStep.ts';

const FROM = { x: 1, y: 0.5 };
const press = (key: string, change: object = {}) =>
  arrowStep({ key, shiftKey: false, altKey: false, ...change }, FROM, 2.54);

it.each([
  ['ArrowRight', {}, 0.01, 0],
  ['ArrowLeft', { altKey: true }, -0.001, 0],
  ['ArrowUp', { shiftKey: true }, 0, 2.54 / 32],
  ['ArrowDown', {}, 0, -0.01],
])('%s with %j moves a ball by %d and %d metres', (key, change, dx, dy) => {
  const to = press(key, change);
  expect(to?.x).toBeCloseTo(FROM.x + dx, 12);
  expect(to?.y).toBeCloseTo(FROM.y + dy, 12);
});

it('leaves other keys alone', () => {
  expect(press('n')).toBeUndefined();
  expect(press('Enter')).toBeUndefined();
});
