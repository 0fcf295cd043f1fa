import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { POOL } from '../testing/balls.ts';
import { thrownTable } from '../testing/thrownTable.ts';
import { bestPotChance, roughPotChance } from './bestPot.ts';
import { ROUGH_BY } from './potOptions.ts';

describe('the best pot by plain geometry', () => {
  const error = executionErrorOf('team', 'pool');
  const tables = Array.from({ length: 60 }, (_, seed) => {
    const { cue, balls } = thrownTable(6, 400 + seed);
    const wanted = ['1'];
    return {
      exact: bestPotChance(POOL, cue, balls, wanted, error),
      rough: roughPotChance(POOL, cue, balls, wanted, error),
    };
  });

  it('falls short of the real one by little, and is nothing only where nothing is on', () => {
    for (const { exact, rough } of tables) expect(rough).toBeGreaterThan(exact - ROUGH_BY);
    expect(tables.filter(({ rough }) => rough === 0).length).toBeGreaterThan(3);
    expect(tables.every(({ exact, rough }) => rough > 0 || exact === 0)).toBe(true);
  });

  it('is close to it where the pot is an easy one', () => {
    const easy = tables.filter(({ exact }) => exact > 0.8);
    expect(easy.length).toBeGreaterThan(5);
    for (const { exact, rough } of easy) expect(Math.abs(rough - exact)).toBeLessThan(0.15);
  });
});
