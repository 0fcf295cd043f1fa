import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { readKick } from './kickTaps.ts';

const team = executionErrorOf('team', 'pool');
const balls = [cueBall(0.6, 0.5), ball('1', 1.8, 0.7), ball('2', 0.75, 0.53)];
const read = (cueAt: readonly [number, number], targetAt: readonly [number, number], target = '1') =>
  readKick(
    POOL,
    balls,
    'cue',
    target,
    { cueAt: { x: cueAt[0], y: cueAt[1] }, targetAt: { x: targetAt[0], y: targetAt[1] } },
    team,
  );

describe('a kick that is read off two taps', () => {
  it('is a miss where the ball was tapped as it lay', () => {
    expect(read([0.1, 0.1], [1.81, 0.69]).missed).toBe(true);
    expect(read([0.1, 0.1], [1.9, 0.69]).missed).toBe(false);
    expect(() => read([0.1, 0.1], [1, 1], '5')).toThrow(RangeError);
  });

  it('leaves what the opponent has from there: all, nothing behind a ball, and less to a weaker one', () => {
    const straight = read([2, 0.85], [2.35, 1.12]);
    expect(straight.left).toBeGreaterThan(0.9);
    expect(straight.leave).toBe('wide open');
    // The 2 lies right between the two balls.
    const hidden = read([0.6, 0.5], [0.9, 0.56]);
    expect(hidden).toMatchObject({ left: 0, leave: 'nothing on', hidden: true });
    expect(straight.hidden).toBe(false);
    // Tapped a little into the ball, the cue ball touches it.
    expect(read([2.34, 1.1], [2.35, 1.12]).left).toBeGreaterThanOrEqual(0);
  });
});
