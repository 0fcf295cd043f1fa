import type { Point } from '../math/point.ts';
import type { TablePreset } from './preset.ts';

export const SPOT_NAMES = [
  'head',
  'centre',
  'foot',
  'yellow',
  'brown',
  'green',
  'blue',
  'pink',
  'black',
] as const;
export type SpotName = (typeof SPOT_NAMES)[number];

export interface Spot {
  readonly name: SpotName;
  readonly at: Point;
}

/** Lines drawn on the cloth: across the table at x, and the D with its radius. */
export interface ClothLines {
  readonly acrossAt: number;
  readonly dRadius?: number;
}

/** Sights stand outside the nose, in the wood of the rail, metres. */
export const SIGHT_SETBACK = 0.094;

/** The published markings of a 12-ft table, metres; tables of other sizes take them in proportion. */
const FULL_SIZE = { baulkLine: 0.737, dRadius: 0.292, blackFromTop: 0.324 };

function baulkOf({ id, length, width }: TablePreset): typeof FULL_SIZE {
  if (id === 'snooker-12ft') return FULL_SIZE;
  return { baulkLine: length / 5, dRadius: width / 6, blackFromTop: length / 11 };
}

/** The spots of a table: head, centre and foot, the six colours, or only the rack's spot. */
export function spotsOf(preset: TablePreset): readonly Spot[] {
  const { length, width } = preset;
  const middle = width / 2;
  if (preset.markings === 'head string') {
    return [
      { name: 'head', at: { x: length / 4, y: middle } },
      { name: 'centre', at: { x: length / 2, y: middle } },
      { name: 'foot', at: { x: (3 * length) / 4, y: middle } },
    ];
  }
  if (preset.markings === 'baulk') return [{ name: 'foot', at: { x: (3 * length) / 4, y: middle } }];
  const { baulkLine, dRadius, blackFromTop } = baulkOf(preset);
  return [
    { name: 'yellow', at: { x: baulkLine, y: middle - dRadius } },
    { name: 'brown', at: { x: baulkLine, y: middle } },
    { name: 'green', at: { x: baulkLine, y: middle + dRadius } },
    { name: 'blue', at: { x: length / 2, y: middle } },
    { name: 'pink', at: { x: (3 * length) / 4, y: middle } },
    { name: 'black', at: { x: length - blackFromTop, y: middle } },
  ];
}

export function clothLinesOf(preset: TablePreset): ClothLines {
  if (preset.markings === 'head string') return { acrossAt: preset.length / 4 };
  const { baulkLine, dRadius } = baulkOf(preset);
  return { acrossAt: baulkLine, dRadius };
}

/** The sights in the rails of a pool table, none on a snooker table. */
export function sightsOf(preset: TablePreset): readonly Point[] {
  if (!preset.sights) return [];
  const { length, width } = preset;
  const long = [1, 2, 3, 5, 6, 7].flatMap((i) => [
    { x: (i * length) / 8, y: -SIGHT_SETBACK },
    { x: (i * length) / 8, y: width + SIGHT_SETBACK },
  ]);
  const short = [1, 2, 3].flatMap((i) => [
    { x: -SIGHT_SETBACK, y: (i * width) / 4 },
    { x: length + SIGHT_SETBACK, y: (i * width) / 4 },
  ]);
  return [...long, ...short];
}
