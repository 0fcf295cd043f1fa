import { describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { ball, cueBall, POOL } from '../testing/balls.ts';
import { cushionSide } from './sideSpin.ts';

describe('side at the cushion', () => {
  it.each([
    [0.4, 0.3],
    [-0.4, 0.3],
    [0.4, -0.35],
    [-0.4, -0.35],
  ])(
    'with tip %s and a hit %s off runs where it carries the ball farther along, and checks where it holds it',
    (side, off) => {
      const balls = [cueBall(0.7, 0.45), ball('1', 1.4, 0.45 + (off > 0 ? 0.25 : -0.1))];
      const play = (tip: number) => {
        const direction = Math.atan2(balls[1]!.y - 0.45, 0.7) + off * 0.18;
        const shot = {
          table: POOL,
          balls,
          strike: { ball: 'cue', speed: 3, direction, tip: { side: tip, height: 0 }, elevation: 0 },
        };
        const result = simulate(shot, { paths: true });
        const bounce = result.events.find((event) => event.kind === 'ball-cushion' && event.id === 'cue');
        if (bounce?.kind !== 'ball-cushion') throw new Error('no cushion');
        const { pieces } = result.paths![0]!;
        const before = pieces.findLast(({ t }) => t < bounce.t - 1e-9)!;
        const after = pieces.find(({ t }) => t >= bounce.t - 1e-9)!;
        const cushion = POOL.cushions.find(({ name }) => name === bounce.cushion)!;
        const along = (v: { vx: number; vy: number }) => -v.vx * cushion.inward.y + v.vy * cushion.inward.x;
        return { shot, result, gain: (along(after) - along(before)) * Math.sign(along(before)) };
      };
      const [plain, turned] = [play(0), play(side)];
      expect(cushionSide(plain.shot, plain.result)).toBeUndefined();
      // The same hit with and without side, compared by what the cushion gives or takes along itself.
      expect(cushionSide(turned.shot, turned.result)).toBe(turned.gain > plain.gain ? 'running' : 'check');
    },
  );
});
