import { describe, expect, it } from 'vitest';
import { toDegrees, toRadians } from '../math/angle.ts';
import { ball, cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { cueingOf, HAMPER_FACTORS, hampered } from './cueing.ts';
import { executionErrorOf } from './levels.ts';

const R = POOL.preset.ballRadius;

describe('cueing', () => {
  it('is level in the open, by whatever hand', () => {
    for (const hand of ['right', 'left'] as const) {
      const open = cueingOf(POOL, cueBall(0.6, 0.5), [], 0, { hand });
      expect(open).toMatchObject({ verdict: 'level', because: [] });
      expect(toDegrees(open.elevation)).toBeLessThan(8);
    }
  });

  it('over a ball needs a raised butt, the more the nearer the ball; beside the cue it does not', () => {
    const cue = cueBall(0.8, 0.5);
    const at = (behind: number, aside: number) =>
      cueingOf(POOL, cue, [ball('1', cue.x - behind, cue.y + aside)], 0);
    const near = at(2 * R + 0.002, 0);
    expect(near.verdict).toBe('raised');
    expect(near.because).toContain('over a ball');
    // A level line from the tip to above the ball behind: 2R + the cue's thickness less R over the distance.
    expect(near.elevation).toBeGreaterThan(Math.atan(R / (2 * R + 0.002)));
    expect(at(0.2, 0).elevation).toBeLessThan(near.elevation);
    expect(at(0.2, 2 * R).because).toEqual([]);
    expect(at(-0.2, 0).because).toEqual([]);
  });

  it('out of a cushion is raised over the rail', () => {
    const frozen = cueingOf(POOL, cueBall(R, 0.6), [], 0);
    expect(frozen.because).toContain('close to a cushion');
    expect(frozen.verdict).toBe('raised');
    expect(cueingOf(POOL, cueBall(R, 0.6), [], Math.PI / 2).because).not.toContain('close to a cushion');
  });

  it('in the middle of a large table asks for the rest, and at the edge of reach for a stretch', () => {
    const middle = cueingOf(SNOOKER, cueBall(2.4, 0.889, SNOOKER), [], 0);
    expect(middle.verdict === 'rest' || middle.because.includes('at a stretch')).toBe(true);
    expect(cueingOf(SNOOKER, cueBall(0.5, 0.889, SNOOKER), [], 0).verdict).toBe('level');
    // Whoever holds the cue in the right hand stands to its left, and reaches a ball by the left-hand cushion.
    const shot = (hand: 'right' | 'left') => cueingOf(SNOOKER, cueBall(2.6, 1.3, SNOOKER), [], 0, { hand });
    expect(shot('right').verdict).toBe('level');
    expect(shot('left').because).not.toEqual([]);
  });

  it('by a wall is raised as far as the cue needs, up to impossible', () => {
    const room = { head: 0.9, foot: null, right: null, left: null };
    const cue = cueBall(0.3, 0.6);
    const short = cueingOf(POOL, cue, [], 0, { room });
    // 1.2 m are left of the 1.65 m that a cue needs: acos(1.2 / 1.65).
    expect(toDegrees(short.elevation)).toBeCloseTo(toDegrees(Math.acos(1.2 / 1.65)), 6);
    expect(short.because).toContain('by a wall');
    expect(cueingOf(POOL, cueBall(R, 0.6), [], 0, { room: { ...room, head: 0.1 } }).verdict).toBe(
      'impossible',
    );
    expect(cueingOf(POOL, cue, [], Math.PI, { room }).because).not.toContain('by a wall');
  });

  it('worsens a player by the product of its factors, which can be given', () => {
    const error = executionErrorOf('team', 'pool');
    const both = hampered(error, ['over a ball', 'at a stretch']);
    expect(both.directionDeg / error.directionDeg).toBeCloseTo(1.8 * 1.25, 12);
    expect(both.speed / error.speed).toBeCloseTo(1.3 * 1.15, 12);
    expect(hampered(error, [])).toEqual(error);
    const twice = { ...HAMPER_FACTORS, 'by a wall': { direction: 2, speed: 1, tip: 1 } };
    expect(hampered(error, ['by a wall'], twice).directionDeg).toBeCloseTo(2 * error.directionDeg, 12);
  });

  it('turns with the table: the same seen in a mirror for the other hand', () => {
    for (const [x, y, degrees] of [
      [1.2, 0.4, 30],
      [2.6, 1.1, 100],
      [3.2, 0.3, -160],
    ] as const) {
      const there = cueingOf(SNOOKER, cueBall(x, y, SNOOKER), [], toRadians(degrees), { hand: 'right' });
      const back = cueingOf(SNOOKER, cueBall(x, SNOOKER.width - y, SNOOKER), [], toRadians(-degrees), {
        hand: 'left',
      });
      expect(back.verdict).toBe(there.verdict);
      expect(back.elevation).toBeCloseTo(there.elevation, 9);
    }
  });
});
