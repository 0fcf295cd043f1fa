import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { buildPockets } from '../table/pockets.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { throwBalls } from './throwBalls.ts';

const preset = TABLE_PRESETS['pool-9ft'];
const WHOLE = { from: { along: 0, across: 0 }, to: { along: 1, across: 1 } };
const thrown = (count: number, apart: number, area = WHOLE) => ({
  thrown: { balls: Array.from({ length: count }, (_, i) => String(i + 1)), area, apart },
});

describe('thrown balls', () => {
  it('lie apart from each other, from what is placed, from cushions and out of the mouths, whatever the seed', () => {
    const placed = [{ id: 'cue', x: 1.2, y: 0.6, radius: preset.ballRadius, mass: 0.17 }];
    const across = 2 * preset.ballRadius;
    for (let seed = 1; seed <= 200; seed++) {
      const balls = throwBalls(thrown(9, 0.5), preset, placed, seed);
      const all = [...placed, ...balls];
      expect(balls).toHaveLength(9);
      for (const ball of balls) {
        for (const other of all) {
          if (other !== ball) expect(distance(ball, other)).toBeGreaterThanOrEqual(1.5 * across - 1e-12);
        }
        const walls = [ball.x, preset.length - ball.x, ball.y, preset.width - ball.y];
        expect(Math.min(...walls)).toBeGreaterThanOrEqual(across - 1e-12);
        for (const { mouth } of buildPockets(preset)) expect(distance(ball, mouth)).toBeGreaterThan(0.1);
      }
    }
  });

  it('stay in their area, and fill it evenly', () => {
    const area = { from: { along: 0.25, across: 0.2 }, to: { along: 0.75, across: 0.8 } };
    let left = 0;
    const throws = 600;
    for (let seed = 1; seed <= throws; seed++) {
      const [ball] = throwBalls(thrown(1, 0, area), preset, [], seed);
      expect(ball!.x / preset.length).toBeGreaterThanOrEqual(0.25);
      expect(ball!.x / preset.length).toBeLessThanOrEqual(0.75);
      expect(ball!.y / preset.width).toBeGreaterThanOrEqual(0.2);
      expect(ball!.y / preset.width).toBeLessThanOrEqual(0.8);
      if (ball!.x < preset.length / 2) left++;
    }
    // Half of them, within four standard deviations.
    expect(Math.abs(left / throws - 0.5)).toBeLessThan(4 * Math.sqrt(0.25 / throws));
  });

  it('that do not fit are told by name, not searched for ever', () => {
    const narrow = { from: { along: 0.45, across: 0.45 }, to: { along: 0.55, across: 0.55 } };
    expect(() => throwBalls(thrown(9, 1, narrow), preset, [], 3)).toThrow(/ball \d does not fit/);
    expect(throwBalls({ thrown: null }, preset, [], 1)).toEqual([]);
  });
});
