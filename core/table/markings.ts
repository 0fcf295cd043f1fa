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

/** Distances of the snooker markings, metres: the published ones for a 12-ft table. */
const BAULK_LINE = 0.737;
const D_RADIUS = 0.292;
const BLACK_FROM_TOP = 0.324;

/** The spots of a table: head, centre and foot on pool, the six colours on snooker. */
export function spotsOf(preset: TablePreset): readonly Spot[] {
  const { length, width } = preset;
  const middle = width / 2;
  if (preset.game === 'pool') {
    return [
      { name: 'head', at: { x: length / 4, y: middle } },
      { name: 'centre', at: { x: length / 2, y: middle } },
      { name: 'foot', at: { x: (3 * length) / 4, y: middle } },
    ];
  }
  return [
    { name: 'yellow', at: { x: BAULK_LINE, y: middle - D_RADIUS } },
    { name: 'brown', at: { x: BAULK_LINE, y: middle } },
    { name: 'green', at: { x: BAULK_LINE, y: middle + D_RADIUS } },
    { name: 'blue', at: { x: length / 2, y: middle } },
    { name: 'pink', at: { x: (3 * length) / 4, y: middle } },
    { name: 'black', at: { x: length - BLACK_FROM_TOP, y: middle } },
  ];
}

export function clothLinesOf(preset: TablePreset): ClothLines {
  return preset.game === 'pool'
    ? { acrossAt: preset.length / 4 }
    : { acrossAt: BAULK_LINE, dRadius: D_RADIUS };
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
