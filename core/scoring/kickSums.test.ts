import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { atStage } from '../drill/stage.ts';
import { drillSchema } from '../records/drill.ts';
import type { KickSum } from '../records/kickSum.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { allKicks, groupKicks, kicksAskedBy, mergeKicks, sumKicks } from './kickSums.ts';

const read = (slug: string) =>
  drillSchema.validateSync(JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8')));
const askedBy = (slug: string, stage = 1) => {
  const drill = read(slug);
  return kicksAskedBy(atStage(drill, stage), TABLE_PRESETS[drill.table]);
};
const sum = (change: Partial<KickSum>): KickSum => ({
  cushions: 1,
  distance: 'near',
  kicks: 1,
  hits: 0,
  called: 0,
  left: 0,
  right: 0,
  short: 0,
  ...change,
});

describe('what a kick drill asks', () => {
  it('is told for each of its stations: cushions, and how far the ball lies', () => {
    // From the first to the third diamond to the sixth: 5, 4.5, 4, 3.5 and 3 of eight along.
    expect(askedBy('one-bounce')).toEqual(
      ['middle', 'middle', 'middle', 'middle', 'middle'].map((distance) => ({
        cushions: 1,
        distance,
        side: 'none',
      })),
    );
    // Its second stage has the ball at the seventh: 6 of eight are more than two thirds.
    expect(askedBy('one-bounce', 2)?.map(({ distance }) => distance)).toEqual([
      'far',
      'far',
      'middle',
      'middle',
      'middle',
    ]);
    expect(askedBy('three-bounces')?.[0]).toMatchObject({ cushions: 3 });
    expect(askedBy('round-the-mast')).toEqual([expect.objectContaining({ cushions: null })]);
    expect(askedBy('slipway')).toBeUndefined();
  });
});

describe('the kicks of a round', () => {
  const drill = read('one-bounce');
  const asked = [
    { cushions: 1, distance: 'near' },
    { cushions: 1, distance: 'far' },
  ] as const;
  const two = { stations: drill.stations?.slice(0, 2) };

  it('are added up by what each station asks, whatever way they are counted', () => {
    const kick = { hit: true, legal: true, repeats: 2, leave: 'nothing on' } as const;
    const log = (...sides: readonly KickSum['side'][]) => ({ shots: sides.map((side) => ({ side })) });
    const attempts = [
      { ordinal: 1, log: log('left'), counted: { done: true, grade: 'thin' } },
      { ordinal: 2, log: log(null), counted: { done: false, grade: 'miss' } },
      {
        ordinal: 3,
        log: log(null),
        counted: { done: false, kick: { ...kick, missed: { left: 1, right: 0, short: 1 } } },
      },
      { ordinal: 4, log: log(), counted: { done: true } },
      { ordinal: 5, log: log(), counted: { done: false, kick: { ...kick, hit: false, repeats: 0 } } },
    ] as const;
    expect(sumKicks(attempts, two, asked)).toEqual([
      sum({ side: 'left', hits: 1 }),
      sum({ distance: 'far', side: null, kicks: 2, hits: 1 }),
      sum({ side: null, kicks: 2, hits: 1, called: 2, left: 1, short: 1 }),
    ]);
  });

  it('come to the same whether added up at once or round by round', () => {
    const kicks = [
      sum({ hits: 1 }),
      sum({ cushions: 2, called: 3, right: 2 }),
      sum({ cushions: null, distance: 'far' }),
      sum({ cushions: 2, hits: 1 }),
    ];
    const halves = mergeKicks([...mergeKicks(kicks.slice(0, 2)), ...mergeKicks(kicks.slice(2))]);
    expect(halves).toEqual(mergeKicks(kicks));
    expect(allKicks(halves)).toEqual(allKicks(kicks));
  });
});

describe('the kicks of a player', () => {
  const kicks = [
    sum({ cushions: 3, distance: 'far', kicks: 10, hits: 2, called: 6, left: 6 }),
    sum({ cushions: null, distance: 'near', kicks: 4, hits: 4 }),
    sum({ cushions: 1, distance: 'middle', kicks: 20, hits: 15 }),
    sum({ cushions: 1, distance: 'far', kicks: 10, hits: 3 }),
  ];

  it('are told by cushions and by distance, the plainest first', () => {
    expect(groupKicks(kicks, 'cushions').map(({ value, kicks, hits }) => [value, kicks, hits.share])).toEqual(
      [
        ['1', 30, 0.6],
        ['3', 10, 0.2],
        ['any', 4, 1],
      ],
    );
    expect(groupKicks(kicks, 'distance').map(({ value, kicks }) => [value, kicks])).toEqual([
      ['near', 4],
      ['middle', 20],
      ['far', 20],
    ]);
  });

  it('are told by the side that was used, those of which nobody said it last', () => {
    const told = [
      sum({ kicks: 3 }),
      sum({ side: 'right', kicks: 2, hits: 1 }),
      sum({ side: 'none', kicks: 5 }),
    ];
    expect(groupKicks(told, 'side').map(({ value, kicks }) => [value, kicks])).toEqual([
      ['none', 5],
      ['right', 2],
      ['not said', 3],
    ]);
  });

  it('have an interval that holds the share, and the way the misses go where that is sure', () => {
    const all = allKicks(kicks);
    expect(all).toMatchObject({ kicks: 44, misses: 6, drift: { way: 'left', count: 6, told: 6 } });
    expect(all.hits.share).toBeCloseTo(24 / 44, 12);
    expect(all.hits.low).toBeLessThan(24 / 44);
    expect(all.hits.high).toBeGreaterThan(24 / 44);
  });
});
