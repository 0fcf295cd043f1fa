import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { distance } from '../../math/point.ts';
import { ball, POOL } from '../../testing/balls.ts';
import { clustersOf } from './clusters.ts';

const D = 2 * POOL.preset.ballRadius;

describe('balls that lie close together', () => {
  it('are a group by their neighbours, and a lone ball is none', () => {
    const row = [ball('1', 1, 0.6), ball('2', 1 + 1.2 * D, 0.6), ball('3', 1 + 2.4 * D, 0.6)];
    const lone = [ball('4', 2, 0.3), ball('5', 2, 0.3 + 1.6 * D)];
    expect(clustersOf([...lone, ...row])).toEqual([['1', '2', '3']]);
  });

  it('are the components of a graph, whatever the order of the balls', () => {
    const place = fc.record({
      x: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
      y: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(place, { minLength: 2, maxLength: 9 }), (places) => {
        const balls = places.map(({ x, y }, i) => ball(String(i), x, y));
        const clusters = clustersOf(balls);
        const groupOf = (id: string) => clusters.findIndex((ids) => ids.includes(id));
        const near = (i: number, k: number) => distance(balls[i]!, balls[k]!) - D < POOL.preset.ballRadius;
        // Two that are near share a group; whoever shares one is joined to it by somebody.
        for (const i of balls.keys()) {
          const others = [...balls.keys()].filter((k) => k !== i && near(i, k));
          expect(groupOf(String(i)) >= 0).toBe(others.length > 0);
          for (const k of others) expect(groupOf(String(k))).toBe(groupOf(String(i)));
        }
        const sorted = (list: readonly (readonly string[])[]) =>
          list.map((ids) => [...ids].sort().join()).sort();
        expect(sorted(clustersOf([...balls].reverse()))).toEqual(sorted(clusters));
      }),
    );
  });
});
