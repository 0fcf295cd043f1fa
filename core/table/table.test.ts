import { describe, expect, it } from 'vitest';
import { distance } from '../math/point.ts';
import { POOL, SNOOKER } from '../testing/balls.ts';
import { sightsOf, spotsOf } from './markings.ts';
import { measurePlace } from './place.ts';
import { buildTable, pocketNamed, tableFingerprint } from './table.ts';

describe('a pool table', () => {
  it('has a mouth of 117 mm between the points at the corners and 130 mm at the middles', () => {
    const nose = (name: string) => POOL.cushions.find((cushion) => cushion.name === name)!;
    // Head-right corner: the right-hand cushion begins and the head cushion ends there.
    expect(distance(nose('right-head').noseFrom, nose('head').noseTo)).toBeCloseTo(0.117, 12);
    expect(distance(nose('right-head').noseTo, nose('right-foot').noseFrom)).toBeCloseTo(0.13, 12);
  });

  it('narrows by 7° a side into its corners and by 14° into its middles', () => {
    const turn = (name: string, end: 'jawTo' | 'jawFrom') => {
      const cushion = POOL.cushions.find((each) => each.name === name)!;
      const tip = end === 'jawTo' ? cushion.noseTo : cushion.noseFrom;
      const jaw = cushion[end];
      if (jaw.kind === 'none') throw new Error('a jaw is missing');
      const { back } = jaw;
      return (Math.atan2(back.y - tip.y, back.x - tip.x) * 180) / Math.PI;
    };
    // Into the foot-right corner the axis points to −45°.
    expect(turn('right-foot', 'jawTo')).toBeCloseTo(-38, 9);
    expect(turn('foot', 'jawFrom')).toBeCloseTo(-52, 9);
    expect(turn('right-head', 'jawTo')).toBeCloseTo(-76, 9);
  });

  it('has its sights on eighths of the length and quarters of the width, none at a pocket', () => {
    const sights = sightsOf(POOL.preset);
    expect(sights).toHaveLength(18);
    for (const { x, y } of sights) {
      const onLong = y < 0 || y > POOL.width;
      const steps = onLong ? (8 * x) / POOL.length : (4 * y) / POOL.width;
      expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-9);
    }
  });
});

describe('a snooker table', () => {
  it('has the published spots', () => {
    const places = Object.fromEntries(spotsOf(SNOOKER.preset).map((spot) => [spot.name, spot.at]));
    expect(places['brown']).toEqual({ x: 0.737, y: 0.889 });
    expect(places['yellow']!.y).toBeCloseTo(0.597, 9);
    expect(places['green']!.y).toBeCloseTo(1.181, 9);
    expect(places['pink']!.x).toBeCloseTo(2.677, 3);
    expect(places['black']!.x).toBeCloseTo(3.245, 9);
  });

  it('has jaws that leave 86 mm at the corner where they come closest, and no sights', () => {
    const arcs = SNOOKER.pieces.filter((piece) => piece.kind === 'arc');
    const atCorner = arcs.filter(({ centre }) => Math.hypot(centre.x, centre.y) < 0.2);
    expect(atCorner).toHaveLength(2);
    const [a, b] = atCorner;
    expect(distance(a!.centre, b!.centre) - a!.radius - b!.radius).toBeCloseTo(0.086, 12);
    expect(sightsOf(SNOOKER.preset)).toEqual([]);
  });
});

describe('every table', () => {
  it.each([POOL, SNOOKER])('is the same seen from either end and from either side', (table) => {
    const flip = ({ x, y }: { x: number; y: number }) => ({ x: table.length - x, y: table.width - y });
    for (const pocket of table.pockets) {
      const twin = pocket.name
        .replace(/head|foot/, (end) => (end === 'head' ? 'foot' : 'head'))
        .replace(/right|left/, (side) => (side === 'right' ? 'left' : 'right'));
      const other = table.pockets.find((each) => each.name === twin)!;
      expect(distance(flip(pocket.drop), other.drop)).toBeLessThan(1e-12);
    }
  });

  it('is told from another by its parameters', () => {
    expect(tableFingerprint(buildTable('pool-9ft'))).toBe(tableFingerprint(POOL));
    expect(tableFingerprint(buildTable('pool-9ft', { rollingFriction: 0.007 }))).not.toBe(
      tableFingerprint(POOL),
    );
    expect(tableFingerprint(SNOOKER)).not.toBe(tableFingerprint(POOL));
  });

  it('refuses the name of a pocket that it does not have', () => {
    expect(() => pocketNamed({ ...POOL, pockets: [] }, 'foot-left')).toThrow('no pocket foot-left');
  });
});

describe('a measured place', () => {
  it('is in millimetres from the two nearer cushions and in diamonds on pool', () => {
    // Two diamonds along (2 × 317.5 mm), three across: a diamond from the left-hand side.
    expect(measurePlace(POOL.preset, { x: 0.635, y: 0.9525 })).toEqual({
      short: { cushion: 'head', mm: 635 },
      long: { cushion: 'left', mm: 318 },
      diamonds: { along: 2, across: 3 },
      spot: undefined,
    });
  });

  it('names the spot, and has no diamonds on snooker', () => {
    expect(measurePlace(SNOOKER.preset, { x: 3.2452, y: 0.889 })).toEqual({
      short: { cushion: 'foot', mm: 324 },
      long: { cushion: 'right', mm: 889 },
      spot: 'black',
    });
    expect(measurePlace(SNOOKER.preset, { x: 3.244, y: 0.889 })).not.toHaveProperty('spot');
  });
});
