import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { createRandom } from '../random/random.ts';
import { ball, POOL, SMALL, SNOOKER } from '../testing/balls.ts';
import { resolvePlace } from './layout.ts';
import { sharePlace, snapPlace } from './snapPlace.ts';

const TABLES = [POOL.preset, SNOOKER.preset, SMALL.preset] as const;

describe('a place that was pointed at', () => {
  it.each([
    ['frozen to the foot cushion', { x: POOL.length - 0.035, y: 0.4 }, { frozen: 'foot', at: 0.315 }],
    ['frozen to the right-hand cushion', { x: 0.635, y: 0.03 }, { frozen: 'right', at: 0.25 }],
    ['on a spot', { x: 1.911, y: 0.64 }, { spot: 'foot' }],
    ['at a quarter diamond', { x: 0.4, y: 0.31 }, { diamonds: { along: 1.25, across: 1 } }],
    ['a share of the table', { x: 1, y: 0.5 }, { share: { along: 0.3937, across: 0.3937 } }],
  ])('is taken as %s', (_, wanted, place) => {
    expect(snapPlace(wanted, POOL.preset, POOL.preset.ballRadius, [])).toEqual(place);
  });

  it('against a ball touches it exactly, in the direction in which it was put', () => {
    const other = ball('1', 1.02, 0.47);
    for (const degrees of [0, 37.5, 90, 200, -60]) {
      const angle = (degrees * Math.PI) / 180;
      const apart = 2 * other.radius + 0.004;
      const wanted = { x: 1.02 + apart * Math.cos(angle), y: 0.47 + apart * Math.sin(angle) };
      const place = snapPlace(wanted, POOL.preset, other.radius, [other]);
      expect(place).toMatchObject({ beside: '1', gapMm: 0 });
      const at = resolvePlace(place, POOL.preset, { radius: other.radius, placed: [other] });
      expect(distance(at, other)).toBeCloseTo(2 * other.radius, 9);
      expect(distance(at, wanted)).toBeLessThan(0.006);
    }
    expect(snapPlace({ x: 1.15, y: 0.47 }, POOL.preset, other.radius, [other])).not.toHaveProperty('beside');
  });

  it('ends where it was pointed at or near to it, on every kind of table', () => {
    const random = createRandom(11);
    for (const preset of TABLES) {
      const radius = preset.ballRadius;
      for (let k = 0; k < 1_000; k++) {
        const wanted = {
          x: radius + random.uniform() * (preset.length - 2 * radius),
          y: radius + random.uniform() * (preset.width - 2 * radius),
        };
        const at = resolvePlace(snapPlace(wanted, preset, radius, []), preset, { radius, placed: [] });
        expect(distance(at, wanted)).toBeLessThan(0.021);
        const exact = resolvePlace(sharePlace(wanted, preset), preset, { radius, placed: [] });
        expect(distance(exact, wanted)).toBeLessThan(0.0003);
      }
    }
  });

  it('has no diamonds on a table without sights', () => {
    for (const preset of [SNOOKER.preset, SMALL.preset]) {
      const wanted = { x: preset.length / 8, y: preset.width / 4 };
      expect(snapPlace(wanted, preset, preset.ballRadius, [])).toHaveProperty('share');
    }
  });
});
