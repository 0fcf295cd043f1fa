import { describe, expect, it } from 'vitest';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { ball, cueBall, POOL } from '../../testing/balls.ts';
import { hasMoved, opennessOf } from './movedBalls.ts';

const at = (id: string, x: number, y: number, pocket: 'foot-left' | null = null) => ({
  id,
  x,
  y,
  pocket,
  offTable: false,
});

describe('a table that a shot has changed', () => {
  const balls = [cueBall(0.5, 0.5), ball('1', 1, 0.5), ball('2', 1.5, 0.5)];

  it('is one on which a ball lies elsewhere, not one from which a ball fell', () => {
    expect(hasMoved(balls, [at('cue', 1, 1), at('1', 0, 0, 'foot-left'), at('2', 1.5, 0.5)])).toBe(false);
    expect(hasMoved(balls, [at('cue', 1, 1), at('1', 1, 0.5), at('2', 1.51, 0.5)])).toBe(false);
    expect(hasMoved(balls, [at('cue', 1, 1), at('1', 0, 0, 'foot-left'), at('2', 1.5, 0.54)])).toBe(true);
  });

  it('is worth more the more of its balls have a way into a pocket', () => {
    const open = [ball('1', 1, 0.5), ball('2', 1.5, 0.8)];
    // Walled in by four: no way into any pocket.
    const walled = [ball('1', 1, 0.6), ...[0, 1, 2, 3, 4, 5].map((k) => ring(k))];
    const free = walled.map((each, k) => (k === 0 ? { ...each, x: 2 } : each));
    expect(opennessOf(POOL, open.slice(0, 1), acceptanceOf)).toBe(1);
    expect(opennessOf(POOL, open, acceptanceOf)).toBeLessThan(1);
    expect(opennessOf(POOL, walled, acceptanceOf)).toBeLessThan(opennessOf(POOL, free, acceptanceOf) / 3);
  });

  const ring = (k: number) => {
    const angle = (k * Math.PI) / 3;
    return ball(`w${k}`, 1 + 0.0575 * Math.cos(angle), 0.6 + 0.0575 * Math.sin(angle));
  };
});
