import { describe, expect, it } from 'vitest';
import { simulate } from '../../motion/simulate.ts';
import { ball, cueBall, POOL, shotOf } from '../../testing/balls.ts';
import { hinderedBits } from './hindered.ts';

const R = ball('1', 0, 0).radius;

/** The balls, by place in the list, that a straight roll of the cue ball from (1, 0.6) towards the foot passes too near. */
function hindering(...others: readonly (readonly [x: number, y: number])[]): readonly number[] {
  const cue = cueBall(1, 0.6);
  const { paths, duration } = simulate(shotOf(POOL, [cue], { speed: 1 }), { paths: true });
  const balls = others.map(([x, y], i) => ball(String(i + 1), x, y));
  const bits = hinderedBits(paths?.[0]?.pieces ?? [], duration, cue.radius, balls, -1);
  return balls.flatMap((_, i) => (((bits >> i) & 1) === 1 ? [i] : []));
}

describe('the balls in the way', () => {
  it('are those that it meets, or passes by less than four millimetres', () => {
    expect(hindering([1.6, 0.6], [1.6, 0.6 + 2 * R + 0.003], [1.6, 0.6 + 2 * R + 0.006])).toEqual([0, 1]);
  });

  it('are not those that lie beside its beginning, touching or nearly, when it goes away from them', () => {
    const gap = 2 * R + 0.001;
    expect(hindering([1 - gap, 0.6], [1, 0.6 + gap], [1, 0.6 - 2 * R])).toEqual([]);
    // Towards it, or half towards it, is another matter.
    expect(hindering([1 + gap, 0.6], [1 + 0.7 * gap, 0.6 + 0.72 * gap])).toEqual([0, 1]);
  });
});
