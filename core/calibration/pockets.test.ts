import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { buildTable } from '../table/table.ts';
import { estimateMouth, madeUpTry, nextTry, pocketModel, withMouth, type PocketTry } from './pockets.ts';

const TRIES = 12;

describe('the mouth of a pocket, by balls that fall or stay', () => {
  it.each([
    ['pool-9ft', 'corner', 0.117],
    ['pool-9ft', 'middle', 0.13],
    ['snooker-12ft', 'corner', 0.086],
  ] as const)(
    '%s, %s: the true mouth is in the 90 %% interval, which is narrower than before',
    (preset, kind, own) => {
      const table = buildTable(preset);
      const error = executionErrorOf('team', table.preset.game);
      const model = pocketModel(table, kind, error);
      const before = estimateMouth(model, []);
      expect(before.mouth).toBeCloseTo(own, 4);
      const random = createRandom(11);
      let inside = 0;
      let off = 0;
      let offBefore = 0;
      let width = 0;
      const TABLES = 80;
      for (let n = 0; n < TABLES; n++) {
        const mouth = own + 0.003 * random.normal();
        const real = withMouth(table, kind, mouth);
        const tries: PocketTry[] = [];
        for (let k = 0; k < TRIES; k++)
          tries.push(madeUpTry(real, kind, nextTry(model, tries), error, random));
        const told = estimateMouth(model, tries);
        if (mouth >= told.low && mouth <= told.high) inside += 1;
        off += Math.abs(told.mouth - mouth);
        offBefore += Math.abs(own - mouth);
        width += told.high - told.low;
      }
      // Of 80, nine in ten within three deviations of a binomial draw.
      expect(inside / TABLES).toBeGreaterThanOrEqual(0.8);
      expect(off).toBeLessThan(0.6 * offBefore);
      expect(width / TABLES).toBeLessThan(0.6 * (before.high - before.low));
    },
  );

  it('asks where it is not known, and not where every mouth says the same', () => {
    const table = buildTable('pool-9ft');
    const model = pocketModel(table, 'middle', executionErrorOf('title', 'pool'));
    const beside = nextTry(model, []);
    const i = model.ways.indexOf(beside);
    const chances = model.chances[i] ?? [];
    expect(Math.min(...chances)).toBeLessThan(0.3);
    expect(Math.max(...chances)).toBeGreaterThan(0.7);
    // Straight into the middle it falls at any mouth.
    expect(Math.min(...(model.chances[0] ?? []))).toBeGreaterThan(0.9);
  });
});
