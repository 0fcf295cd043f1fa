import { describe, expect, it } from 'vitest';
import { clothLinesOf } from '../../table/markings.ts';
import { POOL, SNOOKER } from '../../testing/balls.ts';
import { tappedControl } from './tappedControl.ts';

describe('a break’s cue ball by two taps', () => {
  it('is kept well where the next ball is plain from there, badly where it is not', () => {
    const plain = tappedControl(POOL, 'nine', { x: 2, y: 0.9 }, { x: 2.3, y: 1.1 });
    expect(plain?.control).toBe(3);
    expect(plain?.chance).toBeGreaterThan(0.75);
    // In the middle of the table, half of its length away.
    const hard = tappedControl(POOL, 'nine', { x: 0.1, y: 1.2 }, { x: 1.3, y: 0.64 });
    expect(hard?.control).toBeLessThan(3);
    expect(hard?.chance).toBeLessThan(plain?.chance ?? 0);
  });

  it('waits for the next ball at pool, and asks for none at snooker: near the baulk cushion is best', () => {
    expect(tappedControl(POOL, 'nine', { x: 2, y: 0.9 }, undefined)).toBeUndefined();
    const { acrossAt } = clothLinesOf(SNOOKER.preset);
    const at = (x: number) => tappedControl(SNOOKER, 'reds', { x, y: 0.5 }, undefined)?.control;
    expect([at(0.1 * acrossAt), at(0.9 * acrossAt), at(2 * acrossAt)]).toEqual([3, 1, 0]);
  });

  it('takes a tap on the ball itself as touching it', () => {
    expect(() => tappedControl(POOL, 'eight', { x: 1.2, y: 0.6 }, { x: 1.21, y: 0.6 })).not.toThrow();
  });
});
