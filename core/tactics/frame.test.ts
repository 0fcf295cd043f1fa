import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { foulsNeeded, frameChance } from './frame.ts';
import { pointsOnTable } from './pointsOnTable.ts';

describe('the points that are left', () => {
  it('are 147 with fifteen reds, 27 with the colours, and 7 with the black', () => {
    const colours = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'];
    const reds = Array.from({ length: 15 }, (_, k) => `red ${k + 1}`);
    expect(pointsOnTable([...reds, ...colours])).toBe(147);
    expect(pointsOnTable(colours)).toBe(27);
    expect(pointsOnTable(['black'])).toBe(7);
    expect(pointsOnTable([])).toBe(0);
  });
});

describe('the chance of a frame', () => {
  it('is even when level, and the one’s is what the other has not', () => {
    for (const left of [7, 27, 147]) expect(frameChance(0, left, 10)).toBe(0.5);
    for (const lead of [3, 17, 40]) {
      expect(frameChance(lead, 67, 12) + frameChance(-lead, 67, 12)).toBeCloseTo(1, 12);
    }
  });

  it('rises with the lead, and with a lead as less is left', () => {
    expect(frameChance(20, 67, 12)).toBeGreaterThan(frameChance(10, 67, 12));
    expect(frameChance(20, 27, 12)).toBeGreaterThan(frameChance(20, 67, 12));
  });

  it('is decided on the last black by more than a black', () => {
    expect(frameChance(-8, 7, 10)).toBe(0);
    expect(frameChance(8, 7, 10)).toBe(1);
    expect(frameChance(-7, 7, 10)).toBeGreaterThan(0);
    expect(frameChance(1, 0, 10)).toBe(1);
    expect(frameChance(0, 0, 10)).toBe(0.5);
  });

  it('is about that of frames played out, in which visits of four points go to either player', () => {
    const random = createRandom(7);
    const [lead, left, visit] = [10, 100, 4];
    let won = 0;
    for (let k = 0; k < 20_000; k++) {
      let margin = lead;
      for (let there = left; there > 0; there -= visit) margin += random.uniform() < 0.5 ? visit : -visit;
      won += margin > 0 ? 1 : margin === 0 ? 0.5 : 0;
    }
    expect(frameChance(lead, left, visit)).toBeCloseTo(won / 20_000, 1);
  });

  it('needs fouls where the lead is more than what is left', () => {
    expect(foulsNeeded(-27, 27)).toBe(0);
    expect(foulsNeeded(-28, 27)).toBe(1);
    expect(foulsNeeded(-31, 27)).toBe(1);
    expect(foulsNeeded(-32, 27)).toBe(2);
    expect(foulsNeeded(10, 27)).toBe(0);
  });
});
