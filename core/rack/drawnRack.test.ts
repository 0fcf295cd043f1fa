import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { createRandom } from '../random/random.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { drawnRack, rackContacts } from './drawnRack.ts';
import { rackBalls, type RackKind } from './rack.ts';
import { RACK_QUALITIES } from './rackers.ts';

const POOL = TABLE_PRESETS['pool-9ft'];
const KINDS: readonly (readonly [RackKind, (typeof TABLE_PRESETS)['pool-9ft'], number])[] = [
  ['nine', POOL, 16],
  ['eight', POOL, 30],
  ['eight on the spot', TABLE_PRESETS['eight-7ft'], 30],
  ['reds', TABLE_PRESETS['snooker-12ft'], 30],
];

describe.each(KINDS)('a drawn rack of %s', (kind, preset, contacts) => {
  const across = 2 * preset.ballRadius;
  const rackOf = (quality: keyof typeof RACK_QUALITIES, seed: number) =>
    drawnRack({ kind, quality: RACK_QUALITIES[quality] }, preset, createRandom(seed));

  it('is the perfect one when it is tight, but for the numbers', () => {
    expect(rackContacts(kind, preset)).toHaveLength(contacts);
    const tight = rackBalls(kind, preset);
    rackOf('tight', 3).forEach((ball, i) => expect(distance(ball, tight[i]!)).toBeLessThan(1e-12));
  });

  it('has gaps up to what its racker leaves, wider by a worse one, and no ball in another', () => {
    const means = (['template', 'good hand', 'poor hand'] as const).map((quality) => {
      let [sum, count] = [0, 0];
      for (let seed = 1; seed <= 20; seed++) {
        const balls = rackOf(quality, seed);
        for (const [i, j] of rackContacts(kind, preset)) {
          const gap = distance(balls[i]!, balls[j]!) - across;
          expect(gap).toBeGreaterThan(-2e-10);
          expect(gap).toBeLessThan(2 * RACK_QUALITIES[quality].gap);
          sum += gap;
          count++;
        }
      }
      return sum / count / RACK_QUALITIES[quality].gap;
    });
    // Gaps are drawn evenly, so half of the widest in the mean.
    for (const mean of means) expect(Math.abs(mean - 0.5)).toBeLessThan(0.12);
  });

  it('is the same from the same seed, another from another, and names each ball once', () => {
    expect(rackOf('good hand', 5)).toEqual(rackOf('good hand', 5));
    expect(rackOf('good hand', 5)).not.toEqual(rackOf('good hand', 6));
    const ids = rackOf('poor hand', 7).map(({ id }) => id);
    expect([...ids].sort()).toEqual(
      rackBalls(kind, preset)
        .map(({ id }) => id)
        .sort(),
    );
  });
});

describe('the numbers of a rack', () => {
  it('keep to the fixed places of the game', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const draw = (kind: RackKind) =>
        drawnRack({ kind, quality: RACK_QUALITIES.tight }, POOL, createRandom(seed)).map(({ id }) =>
          Number(id),
        );
      const nine = draw('nine');
      expect([nine[0], nine[4]]).toEqual([1, 9]);
      const eight = draw('eight');
      expect(eight[4]).toBe(8);
      expect(eight[10]! < 8).toBe(eight[14]! > 8);
    }
  });

  it('stand as somebody put them on purpose, and are refused when a ball is missing', () => {
    const order = ['1', '4', '5', '2', '9', '3', '8', '7', '6'];
    const wish = { kind: 'nine', quality: RACK_QUALITIES.tight } as const;
    expect(drawnRack({ ...wish, order }, POOL, createRandom(1)).map(({ id }) => id)).toEqual(order);
    expect(() => drawnRack({ ...wish, order: ['1'] }, POOL, createRandom(1))).toThrow('order');
  });
});

describe('a known gap', () => {
  const across = 2 * POOL.ballRadius;
  const rackWith = (between: readonly [number, number], gap: number) =>
    drawnRack(
      { kind: 'nine', quality: RACK_QUALITIES.tight, gaps: [{ between, gap }] },
      POOL,
      createRandom(1),
    );

  it('opens the pair, and leaves the others together as far as they can be', () => {
    const balls = rackWith([0, 1], 0.4e-3);
    const gapOf = ([i, j]: readonly [number, number]) => distance(balls[i]!, balls[j]!) - across;
    expect(gapOf([0, 1])).toBeGreaterThan(0.2e-3);
    for (const pair of rackContacts('nine', POOL)) expect(gapOf(pair)).toBeLessThan(0.45e-3);
    expect(gapOf([6, 8])).toBeLessThan(0.1e-3);
  });

  it('is refused between balls that are no neighbours', () => {
    expect(() => rackWith([0, 8], 0.1e-3)).toThrow('no neighbours');
  });
});
