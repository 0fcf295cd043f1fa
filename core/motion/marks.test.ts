import { describe, expect, it } from 'vitest';
import { ball, POOL, shotOf, SNOOKER } from '../testing/balls.ts';
import { marksOf } from './marks.ts';
import { noseDistance } from './noseDistance.ts';
import { simulate } from './simulate.ts';

describe('the marks of a shot', () => {
  it('say at which sight a cushion is met', () => {
    // Straight along y at 3 eighths of the length: the left-hand cushion at its third sight.
    const shot = shotOf(POOL, [ball('cue', (3 * POOL.length) / 8, 0.4)], { direction: Math.PI / 2 });
    const marks = marksOf(simulate(shot, { paths: true }), POOL);
    const hit = marks.find(({ event }) => event.kind === 'ball-cushion')!;
    expect(hit.sight).toBeCloseTo(3, 9);
    expect(hit.contact!.y).toBe(POOL.width);
    const reach = noseDistance(POOL.preset.ballRadius, POOL.parameters.noseHeight);
    expect(hit.at.y).toBeCloseTo(POOL.width - reach, 9);
  });

  it('have the touch of two balls between them, and no sights on a table that has none', () => {
    const r = SNOOKER.preset.ballRadius;
    const balls = [ball('cue', 1, 0.8, SNOOKER), ball('red', 1.5, 0.8, SNOOKER)];
    const marks = marksOf(simulate(shotOf(SNOOKER, balls), { paths: true }), SNOOKER);
    const touch = marks.find(({ event }) => event.kind === 'ball-ball')!;
    expect(touch.at.x).toBeCloseTo(1.5 - 2 * r, 9);
    expect(touch.contact!.x).toBeCloseTo(1.5 - r, 9);
    expect(marks.every(({ sight }) => sight === undefined)).toBe(true);
  });

  it('need the paths', () => {
    expect(() => marksOf(simulate(shotOf(POOL, [ball('cue', 1, 0.5)])), POOL)).toThrow('paths');
  });
});
