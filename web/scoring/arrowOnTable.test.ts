import { expect, it } from 'vitest';
import { arrowOnTable } from './arrowOnTable.ts';

const key = (name: string, held: { shiftKey?: boolean; altKey?: boolean } = {}) => ({
  key: name,
  shiftKey: false,
  altKey: false,
  ...held,
});

it('an arrow moves the cross as the table is drawn: the head end on the left, or at the bottom', () => {
  expect(arrowOnTable(key('ArrowRight'), 'landscape')).toEqual({ dx: 0.01, dy: 0 });
  expect(arrowOnTable(key('ArrowUp'), 'landscape')).toEqual({ dx: 0, dy: 0.01 });
  // Upright, up on the screen is away from the head end, and right is to the right-hand cushion.
  expect(arrowOnTable(key('ArrowUp'), 'portrait')).toMatchObject({ dx: 0.01 });
  expect(arrowOnTable(key('ArrowRight'), 'portrait')).toMatchObject({ dy: -0.01 });
});

it('moves by ten centimetres with Shift and by a millimetre with Alt, and other keys not at all', () => {
  expect(arrowOnTable(key('ArrowLeft', { shiftKey: true }), 'landscape')?.dx).toBeCloseTo(-0.1, 12);
  expect(arrowOnTable(key('ArrowDown', { altKey: true }), 'landscape')?.dy).toBeCloseTo(-0.001, 12);
  expect(arrowOnTable(key('x'), 'landscape')).toBeUndefined();
});
