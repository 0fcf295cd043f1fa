import { describe, expect, it } from 'vitest';
import type { BallOnTable } from '../../motion/shot.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { acceptanceOf } from '../../shot/acceptance.ts';
import { ball, POOL } from '../../testing/balls.ts';
import { potLines } from '../potOptions.ts';
import { problemBalls } from './problemBalls.ts';
import { buildShotTable } from './shotTable.ts';
import { COARSE } from './tableDetail.ts';

function problemsOf(balls: readonly BallOnTable[]) {
  const lines = balls.flatMap((each) => potLines(POOL, [each], [each.id], acceptanceOf));
  return problemBalls(balls, buildShotTable(POOL, balls, lines, executionErrorOf('match', 'pool'), COARSE));
}

describe('balls that are hard to come at', () => {
  it('are none of those that lie open', () => {
    expect(problemsOf([ball('1', 0.6, 0.4), ball('2', 1.9, 0.85), ball('3', 1.4, 0.3)])).toEqual([]);
  });

  it('are those that others wall in, which are named; taken away, it lies open', () => {
    // The middle one of a ring: whichever way it goes, it meets one that is nearly frozen to it.
    const ring = Array.from({ length: 6 }, (_, k) => {
      const angle = (Math.PI / 3) * k;
      return ball(String(k + 2), 1.27 + 0.06 * Math.cos(angle), 0.635 + 0.06 * Math.sin(angle));
    });
    const inside = ball('1', 1.27, 0.635);
    const [worst] = problemsOf([inside, ...ring]);
    expect(worst?.ball).toBe('1');
    expect(worst?.open).toBe(0);
    expect(worst?.alone).toBeGreaterThan(0.3);
    expect(worst?.by.length).toBeGreaterThanOrEqual(2);
    expect(worst?.by.every((id) => ring.some((each) => each.id === id))).toBe(true);
    expect(problemsOf([inside])).toEqual([]);
  });
});
