import { expect, it } from 'vitest';
import { normalCdf } from '../math/normal.ts';
import { createRandom } from '../random/random.ts';
import { CARD_VALUES } from '../table/cardValues.ts';
import { buildTable } from '../table/table.ts';
import { unknownsOf, valueOf } from './unknowns.ts';

const unknowns = unknownsOf(buildTable('snooker-12ft').preset, ['house']);

it('a place of the standard normal distribution is the value that is exceeded as often by a distribution cut at the bounds', () => {
  const random = createRandom(4);
  for (const unknown of unknowns) {
    const { least, most } = CARD_VALUES[unknown.name];
    // Drawn the slow way: what lies outside is thrown away.
    const draws = Array.from({ length: 40_000 }, () => unknown.before + unknown.spread * random.normal());
    const inside = draws.filter((value) => value >= least && value <= most);
    for (const at of [-2, -0.7, 0, 1, 1.6]) {
      const value = valueOf(unknown, at);
      const below = inside.filter((drawn) => drawn <= value).length / inside.length;
      // Three deviations of a share that is counted.
      expect(Math.abs(below - normalCdf(at)), `${unknown.name} at ${at}`).toBeLessThan(
        3 / (2 * Math.sqrt(inside.length)),
      );
    }
  }
});

it('stays inside what a card may hold, however far out', () => {
  for (const unknown of unknowns)
    for (const at of [-40, -9, 9, 40]) {
      expect(valueOf(unknown, at)).toBeGreaterThanOrEqual(CARD_VALUES[unknown.name].least);
      expect(valueOf(unknown, at)).toBeLessThanOrEqual(CARD_VALUES[unknown.name].most);
    }
});
