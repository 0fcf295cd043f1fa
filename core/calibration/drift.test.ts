import { describe, expect, it } from 'vitest';
import { createRandom } from '../random/random.ts';
import { driftBetween, driftByLandings, type LandingSums } from './drift.ts';

/** Landings of some players who each stop by their own habit, a table that adds a share of the way to it, in rounds of ten on ways of 0.8 to 3 m. */
function landings(players: number, longer: number, seed: number): readonly LandingSums[] {
  const random = createRandom(seed);
  return Array.from({ length: players }, (_, p) => {
    const habit = 0.05 * random.normal();
    return [true, true, false, false].map((isHere): LandingSums => {
      const way = 0.8 + 2.2 * random.uniform();
      const all = Array.from(
        { length: 10 },
        () => way * (habit + (isHere ? longer : 0) + 0.07 * random.normal()),
      );
      return {
        player: `player ${p}`,
        isHere,
        way,
        count: all.length,
        along: all.reduce((sum, each) => sum + each, 0),
        alongSquared: all.reduce((sum, each) => sum + each * each, 0),
      };
    });
  }).flat();
}

describe('a table by the landings of its players', () => {
  it('is told to run long where everybody stops longer than elsewhere, by how much', () => {
    const drift = driftByLandings(landings(6, 0.06, 1));
    expect(drift?.isTold).toBe(true);
    expect(Math.abs((drift?.along ?? 0) - 0.06)).toBeLessThan(3 * (drift?.deviation ?? 0));
    expect(drift?.landings).toBe(120);
    expect(driftByLandings(landings(6, -0.06, 2))?.along).toBeLessThan(-0.03);
  });

  it('is not blamed for the habits of its players: hardly ever where it adds nothing', () => {
    const blamed = Array.from({ length: 300 }, (_, seed) => driftByLandings(landings(6, 0, seed + 10)));
    expect(blamed.filter((drift) => drift?.isTold === true).length).toBeLessThan(9);
  });

  it('is not blamed by one or two, nor by a player who never plays elsewhere', () => {
    expect(driftByLandings(landings(2, 0.5, 3))?.isTold).toBe(false);
    expect(driftByLandings(landings(5, 0.5, 4).filter(({ isHere }) => isHere))).toBeUndefined();
  });
});

it('two calibrations differ where both leave less open than lies between them', () => {
  const before = [
    { name: 'rollingFriction', value: 0.01, deviation: 0.0005 },
    { name: 'cushionFriction', value: 0.2, deviation: 0.04 },
    { name: 'endMass', value: 0.006, deviation: 0.0001 },
  ] as const;
  const after = [
    { name: 'rollingFriction', value: 0.008, deviation: 0.0005 },
    { name: 'cushionFriction', value: 0.25, deviation: 0.04 },
    { name: 'endMass', value: 0.01, deviation: 0.0001 },
  ] as const;
  expect(driftBetween(before, after)).toEqual([{ name: 'rollingFriction', from: 0.01, to: 0.008 }]);
  expect(driftBetween([], after)).toEqual([]);
});
