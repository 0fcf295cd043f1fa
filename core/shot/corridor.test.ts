import { describe, expect, it } from 'vitest';
import { acceptanceOf } from './acceptance.ts';
import { isClear, narrowestGap } from './corridor.ts';
import { potLines } from '../planning/potOptions.ts';
import { ball, POOL } from '../testing/balls.ts';

const R = ball('1', 0, 0).radius;

describe('a straight way between other balls', () => {
  it('is free for a ball that touches another one and goes away from it, or past it, and for no other', () => {
    // All around, at any place: what is worked out in floating point is a hair too near as often as too far.
    for (let k = 0; k < 200; k++) {
      const from = { x: 1 + 0.0137 * k, y: 0.4 + 0.0031 * k };
      const at = (0.0721 * k) % (2 * Math.PI);
      const beside = ball('2', from.x + 2 * R * Math.cos(at), from.y + 2 * R * Math.sin(at));
      const way = (turn: number) => ({
        x: from.x + 0.5 * Math.cos(at + turn),
        y: from.y + 0.5 * Math.sin(at + turn),
      });
      for (const turn of [Math.PI, 2.2, -2.2, 1.6, -1.6, Math.PI / 2])
        expect([k, turn, isClear(from, way(turn), R, [beside])]).toEqual([k, turn, true]);
      for (const turn of [0, 0.5, -0.5, 1.4, -1.4])
        expect([k, turn, isClear(from, way(turn), R, [beside])]).toEqual([k, turn, false]);
    }
  });

  it('is closed where a ball lies in it, and tells the narrowest gap', () => {
    const from = { x: 0.5, y: 0.5 };
    const to = { x: 1.5, y: 0.5 };
    const near = ball('2', 1, 0.5 + 2 * R + 0.004);
    expect(isClear(from, to, R, [near])).toBe(true);
    expect(narrowestGap(from, to, R, [near, ball('3', 1, 0.9)])).toMatchObject({ id: '2' });
    expect(narrowestGap(from, to, R, [near])?.metres).toBeCloseTo(0.004, 9);
    expect(isClear(from, to, R, [ball('2', 1, 0.5 + 2 * R - 0.001)])).toBe(false);
  });
});

it('a ball frozen to another one can be potted away from it', () => {
  const balls = [ball('1', 1.6, 1.1), ball('2', 1.6 - 2 * R, 1.1)];
  const pockets = (id: string) =>
    potLines(POOL, balls, [id], acceptanceOf)
      .map(({ pocket }) => pocket)
      .sort();
  expect(pockets('1')).toContain('foot-left');
  expect(pockets('2')).toContain('head-left');
  expect(pockets('1')).not.toContain('head-left');
});
