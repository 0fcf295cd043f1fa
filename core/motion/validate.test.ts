import { describe, expect, it } from 'vitest';
import { ball, POOL, shotOf } from '../testing/balls.ts';
import { simulate } from './simulate.ts';

const pair = [ball('cue', 0.6, 0.6), ball('1', 1.2, 0.6)];

describe('a shot that cannot be played is refused by name', () => {
  it.each([
    ['ball 1: overlaps ball cue', shotOf(POOL, [ball('cue', 0.6, 0.6), ball('1', 0.63, 0.6)])],
    ['ball 1: lies outside the cushions', shotOf(POOL, [pair[0]!, ball('1', 3, 0.6)])],
    ['ball 1: x must be a number', shotOf(POOL, [pair[0]!, ball('1', NaN, 0.6)])],
    ['ball cue: two balls have this name', shotOf(POOL, [pair[0]!, ball('cue', 1, 1)])],
    ['strike.ball: there is no ball black', shotOf(POOL, pair, { ball: 'black' })],
    ['strike.speed: must be above zero', shotOf(POOL, pair, { speed: 0 })],
    ['strike.tip', shotOf(POOL, pair, { tip: { side: 0.4, height: 0.4 } })],
    ['strike.direction must be a number', shotOf(POOL, pair, { direction: Infinity })],
    ['strike.elevation', shotOf(POOL, pair, { elevation: -0.1 })],
  ])('%s', (message, shot) => {
    expect(() => simulate(shot)).toThrow(message);
  });

  it('plays balls that touch', () => {
    const d = 2 * POOL.preset.ballRadius;
    const result = simulate(shotOf(POOL, [ball('cue', 0.6, 0.6), ball('1', 0.6 + d, 0.6)], { speed: 1 }));
    expect(result.complete).toBe(true);
    expect(result.rest[1]!.x).toBeGreaterThan(1);
  });
});
