import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance, type Point } from '../math/point.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { spotsOf, type SpotName } from '../table/markings.ts';
import { ball, cueBall, POOL, SNOOKER } from '../testing/balls.ts';
import { respotPlace } from './respot.ts';

const spot = (name: SpotName): Point => spotsOf(SNOOKER.preset).find((each) => each.name === name)!.at;
const on = (name: SpotName, id: string = name): BallOnTable => ball(id, spot(name).x, spot(name).y, SNOOKER);
const COLOURS = ['black', 'pink', 'blue', 'brown', 'green', 'yellow'] as const;

describe('a ball that comes back', () => {
  it('goes on its own spot where that is free', () => {
    expect(respotPlace(SNOOKER.preset, on('blue'), [on('black'), cueBall(1, 1, SNOOKER)])).toEqual(
      spot('blue'),
    );
  });

  it('goes on the most valuable spot that is free where its own is taken', () => {
    const onBlue = on('blue', 'red 1');
    expect(respotPlace(SNOOKER.preset, on('blue'), [onBlue])).toEqual(spot('black'));
    expect(respotPlace(SNOOKER.preset, on('blue'), [onBlue, on('black'), on('pink')])).toEqual(spot('brown'));
    // The black cannot go higher.
    expect(respotPlace(SNOOKER.preset, on('black'), [on('black', 'red 1'), on('pink')])).toEqual(
      spot('blue'),
    );
  });

  it('goes as near as there is room behind its own spot where all are taken', () => {
    const taken = COLOURS.map((name, k) => on(name, `red ${k}`));
    const { x, y } = respotPlace(SNOOKER.preset, on('pink'), taken);
    const width = 2 * SNOOKER.preset.ballRadius;
    expect(y).toBe(spot('pink').y);
    expect(x - spot('pink').x).toBeGreaterThan(width);
    expect(x - spot('pink').x).toBeLessThan(width + 0.0015);
  });

  it('goes before its place where another one leaves no room between it and the cushion', () => {
    const nine = ball('9', POOL.length - 0.03, 0.6);
    const { x } = respotPlace(POOL.preset, nine, [ball('1', POOL.length - 0.04, 0.6)]);
    expect(x).toBeLessThan(POOL.length - 0.04 - 2 * POOL.preset.ballRadius);
  });

  it('never touches another, wherever the balls lie', () => {
    const place = fc.record({
      x: fc.double({ min: 0.05, max: SNOOKER.length - 0.05, noNaN: true }),
      y: fc.double({ min: 0.8, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(place, { maxLength: 8 }), fc.constantFrom(...COLOURS), (places, name) => {
        const others = [
          ...COLOURS.filter((each) => each !== name).map((each) => on(each)),
          ...places.map(({ x, y }, k) => ball(`red ${k}`, x, y, SNOOKER)),
        ];
        const at = respotPlace(SNOOKER.preset, on(name), others);
        for (const other of others) {
          expect(distance(other, at)).toBeGreaterThan(2 * SNOOKER.preset.ballRadius);
        }
      }),
    );
  });
});
