import type { Point } from '../math/point.ts';
import { noseInset } from './cushions.ts';
import type { TablePreset } from './preset.ts';

export const POCKET_NAMES = [
  'head-right',
  'head-left',
  'middle-right',
  'middle-left',
  'foot-right',
  'foot-left',
] as const;

export type PocketName = (typeof POCKET_NAMES)[number];

export interface Pocket {
  readonly name: PocketName;
  /** Middle of the mouth, where a player aims. */
  readonly mouth: Point;
  /** Centre of the drop: a ball whose centre comes within `radius` of it has fallen. */
  readonly drop: Point;
  readonly radius: number;
}

/** The six pockets of a table. */
export function buildPockets(preset: TablePreset): readonly Pocket[] {
  const { length, width, corner, middle } = preset;
  // On curved jaws the mouth is where the curves come closest, behind the ends of the noses.
  const cornerDepth =
    corner.jaw.kind === 'facing'
      ? noseInset(corner, 'corner') / 2
      : (noseInset(corner, 'corner') - corner.jaw.radius) / 2;
  const drop = corner.shelf + corner.dropRadius;
  return POCKET_NAMES.map((name) => {
    const outY = name.endsWith('right') ? -1 : 1;
    const edgeY = outY < 0 ? 0 : width;
    if (name.startsWith('middle')) {
      return {
        name,
        mouth: { x: length / 2, y: edgeY },
        drop: { x: length / 2, y: edgeY + outY * (middle.shelf + middle.dropRadius) },
        radius: middle.dropRadius,
      };
    }
    const outX = name.startsWith('head') ? -1 : 1;
    const edgeX = outX < 0 ? 0 : length;
    const mouth = { x: edgeX - outX * cornerDepth, y: edgeY - outY * cornerDepth };
    return {
      name,
      mouth,
      drop: { x: mouth.x + (outX * drop) / Math.SQRT2, y: mouth.y + (outY * drop) / Math.SQRT2 },
      radius: corner.dropRadius,
    };
  });
}
