import { beforeAll, describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import { executionErrorOf } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import { buildTable } from '../table/table.ts';
import { fitTable, type Fit } from './fit.ts';
import { guidedShots } from './guidedShots.ts';
import { errorsLeftOut } from './leftOut.ts';
import { guidedError, type PlayedShot } from './madeUp.ts';
import { BY_HAND, errorOf, readOff } from './reading.ts';
import { tableWith, unknownsOf } from './unknowns.ts';

const PLAYER = executionErrorOf('team', 'pool');
const card = buildTable('pool-9ft');
const unknowns = unknownsOf(card.preset, ['house']);
/** A fast cloth, dull cushions that grip, a cue that squirts much: each one spread and a half off. */
const OFF = [-1.5, 0.5, -1.5, 0, 1.5, 0, 1.5];
const truth = unknowns.map(({ before, spread }, i) => before + spread * (OFF[i] ?? 0));
const real = tableWith(card, unknowns, truth, 'house');
const KINDS = ['lag', 'angle', 'squirt'];

function played(): readonly PlayedShot[] {
  const random = createRandom(11);
  return guidedShots(card)
    .filter(({ kind }) => KINDS.includes(kind))
    .map((guided) => ({
      guided,
      cue: 'house',
      errors: guided.readings.map((reading) => errorOf(reading, BY_HAND)),
      times: [0, 1, 2].map(() => {
        const shot = executed({ ...guided.shot, table: real }, guidedError(PLAYER), random);
        const result = simulate(shot, { paths: true });
        return guided.readings.map((reading) => {
          const value = readOff(result, reading);
          return value === undefined ? undefined : value + errorOf(reading, BY_HAND) * random.normal();
        });
      }),
    }));
}

const indexOf = (name: string) => unknowns.findIndex((unknown) => unknown.name === name);
const SETTINGS = { tables: 450, seed: 5 };

describe('a table that is not as its card says', () => {
  let fit: Fit;
  beforeAll(() => {
    fit = fitTable(card, unknowns, played(), PLAYER, SETTINGS);
  });

  it('is found: cloth, cushions and cue, each within what is said to be open', () => {
    truth.forEach((value, i) => {
      expect(Math.abs((fit.values[i] ?? 0) - value)).toBeLessThan(3 * (fit.deviations[i] ?? 0));
    });
    for (const name of ['rollingFriction', 'cushionFriction', 'endMass']) {
      const i = indexOf(name);
      const { before } = unknowns[i] ?? { before: 0 };
      expect(fit.open[i]).toBeLessThan(1 / 2);
      // Most of the way from the card to the truth.
      expect(((fit.values[i] ?? 0) - before) / ((truth[i] ?? 0) - before)).toBeGreaterThan(0.6);
    }
  });

  it('what nothing was played for stays as open as it was', () => {
    const i = indexOf('ballFriction');
    expect(fit.open[i]).toBeGreaterThan(0.8);
  });

  it('foretells shots that were not used much better than its card', () => {
    const left = errorsLeftOut(card, unknowns, played(), fit, PLAYER);
    expect(left?.shots).toBe(8);
    const { before = 0, after = 0, chance = 0 } = left ?? {};
    // What is off beyond the strokes themselves.
    expect(after - chance).toBeLessThan((before - chance) / 2);
    expect(errorsLeftOut(card, unknowns, played().slice(0, 1), fit, PLAYER)).toBeUndefined();
  });

  it('a reading that is a decimetre off moves no number by more than its interval', () => {
    const [first, ...others] = played();
    if (first === undefined) throw new Error('nothing was played');
    const slipped = {
      ...first,
      times: first.times.map((read, n) => (n === 0 ? [(read[0] ?? 0) + 0.1, ...read.slice(1)] : read)),
    };
    const moved = fitTable(card, unknowns, [slipped, ...others], PLAYER, SETTINGS);
    unknowns.forEach((_, i) => {
      const by = Math.abs((moved.values[i] ?? 0) - (fit.values[i] ?? 0));
      expect(by).toBeLessThan(1.645 * (fit.deviations[i] ?? 0));
    });
  });
});

it('the share that is done is told, and nothing played is refused', () => {
  const shares: number[] = [];
  const [one] = played();
  if (one === undefined) throw new Error('nothing was played');
  fitTable(card, unknowns, [one], PLAYER, { tables: 60, onShare: (share) => shares.push(share) });
  expect(shares).toEqual([...shares].sort((a, b) => a - b));
  expect(shares.length).toBeGreaterThan(3);
  expect(() => fitTable(card, unknowns, [{ ...one, times: [] }], PLAYER)).toThrow('nothing was played');
});
