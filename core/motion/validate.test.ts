import { describe, expect, it } from 'vitest';
import { ball, POOL, shotOf } from '../testing/balls.ts';
import { pocketNamed } from '../table/table.ts';
import { noseDistance } from './noseDistance.ts';
import { simulate } from './simulate.ts';

const pair = [ball('cue', 0.6, 0.6), ball('1', 1.2, 0.6)];

describe('a shot that cannot be played is refused by name', () => {
  it.each([
    ['ball 1: overlaps ball cue', shotOf(POOL, [ball('cue', 0.6, 0.6), ball('1', 0.63, 0.6)])],
    ['ball 1: lies outside the cushions', shotOf(POOL, [pair[0]!, ball('1', 3, 0.6)])],
    ['ball 1: x must be a number', shotOf(POOL, [pair[0]!, ball('1', NaN, 0.6)])],
    ['ball cue: two balls have this name', shotOf(POOL, [pair[0]!, ball('cue', 1, 1)])],
    ['strike.ball: there is no ball black', shotOf(POOL, pair, { ball: 'black' })],
    ['strike.speed: must be a number, zero or more', shotOf(POOL, pair, { speed: -1 })],
    ['strike.tip', shotOf(POOL, pair, { tip: { side: 0.4, height: 0.4 } })],
    ['strike.direction: must be a number', shotOf(POOL, pair, { direction: Infinity })],
    ['strike.elevation', shotOf(POOL, pair, { elevation: -0.1 })],
  ])('%s', (message, shot) => {
    expect(() => simulate(shot)).toThrow(message);
  });

  it('accepts what only looks wrong: no speed, a ball frozen to the cushion, one that hangs in the jaws', () => {
    const still = simulate(shotOf(POOL, pair, { speed: 0 }));
    expect(still.events).toEqual([]);
    expect(still.rest.map(({ x, y }) => [x, y])).toEqual(pair.map(({ x, y }) => [x, y]));
    const reach = noseDistance(POOL.preset.ballRadius, POOL.parameters.noseHeight);
    const { mouth } = pocketNamed(POOL, 'foot-left');
    for (const at of [ball('1', 1.2, reach), ball('1', mouth.x, mouth.y)]) {
      expect(simulate(shotOf(POOL, [pair[0]!, at])).complete).toBe(true);
    }
    const drop = pocketNamed(POOL, 'foot-left').drop;
    expect(() => simulate(shotOf(POOL, [pair[0]!, ball('1', drop.x, drop.y)]))).toThrow(
      'ball 1: lies outside',
    );
  });

  it('plays balls that touch', () => {
    const d = 2 * POOL.preset.ballRadius;
    const result = simulate(shotOf(POOL, [ball('cue', 0.6, 0.6), ball('1', 0.6 + d, 0.6)], { speed: 1 }));
    expect(result.complete).toBe(true);
    expect(result.rest[1]!.x).toBeGreaterThan(1);
  });
});
