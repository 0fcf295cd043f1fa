import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { mean } from '../statistics/summary.ts';
import { strike } from '../testing/balls.ts';
import { execute } from './execute.ts';
import { executionErrorAt, executionErrorOf, LEVELS } from './levels.ts';

describe('the execution error', () => {
  it('of a level is its row of the table', () => {
    for (const level of LEVELS) {
      expect(executionErrorOf(level.name, 'snooker').directionDeg).toBeCloseTo(
        level.directionDeg.snooker,
        12,
      );
      expect(executionErrorAt(level.rating, 'pool').speed).toBeCloseTo(level.speed, 12);
    }
  });

  it('is log-linear between the levels and beyond them', () => {
    // Halfway between regular (0.18) and team (0.10) lies the geometric mean; 20 below first season one step more.
    expect(executionErrorAt(40, 'pool').directionDeg).toBeCloseTo(Math.sqrt(0.18 * 0.1), 12);
    expect(executionErrorAt(-10, 'pool').directionDeg).toBeCloseTo((0.35 * 0.35) / 0.18, 12);
    expect(executionErrorAt(110, 'pool').tip).toBeCloseTo((0.02 * 0.02) / 0.03, 12);
  });
});

describe('an execution', () => {
  const plan = strike({ speed: 2, direction: 0.4, tip: { side: 0.1, height: -0.2 }, elevation: 0.5 });
  const error = executionErrorOf('regular', 'pool');
  const random = createRandom(9);
  const many = Array.from({ length: 5000 }, () => execute(plan, error, random));
  const spread = (values: readonly number[], around: number) =>
    Math.sqrt(mean(values.map((value) => (value - around) ** 2)));

  it('strays from the plan by the sizes of the level', () => {
    const close = (value: number, wanted: number) => expect(Math.abs(value / wanted - 1)).toBeLessThan(0.05);
    close(
      spread(
        many.map((s) => s.direction),
        0.4,
      ),
      (error.directionDeg * Math.PI) / 180,
    );
    close(
      spread(
        many.map((s) => s.speed),
        2,
      ),
      2 * error.speed,
    );
    close(
      spread(
        many.map((s) => s.tip.side),
        0.1,
      ),
      error.tip,
    );
    close(
      spread(
        many.map((s) => s.elevation),
        0.5,
      ),
      (error.elevationDeg * Math.PI) / 180,
    );
  });

  it('can always be played, however bad the player', () => {
    const wild = { directionDeg: 5, speed: 3, tip: 1, elevationDeg: 60 };
    for (let i = 0; i < 500; i++) {
      const played = execute(plan, wild, random);
      expect(Math.hypot(played.tip.side, played.tip.height)).toBeLessThanOrEqual(0.5 + 1e-12);
      expect(played.speed).toBeGreaterThan(0);
      expect(played.elevation).toBeGreaterThanOrEqual(0);
      expect(played.elevation).toBeLessThanOrEqual(Math.PI / 2);
    }
  });
});
