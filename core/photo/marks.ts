import { spotsOf } from '../table/markings.ts';
import type { Table } from '../table/table.ts';
import type { Pixel, Place } from './camera.ts';

export const CORNERS = ['head-right', 'head-left', 'foot-left', 'foot-right'] as const;
export type CornerName = (typeof CORNERS)[number];

/** Something that can be marked in a picture of a table: its name, and where it is. */
export interface Landmark {
  readonly name: string;
  readonly at: Place;
}

/** A landmark that was found in the picture. */
export interface Mark extends Landmark {
  readonly pixel: Pixel;
}

/** The four corners at which the edges of the cushions would meet, round the table. */
export function cornersOf({ length, width, parameters }: Table): readonly Landmark[] {
  const z = parameters.noseHeight;
  return [
    { name: 'head-right', at: { x: 0, y: 0, z } },
    { name: 'head-left', at: { x: 0, y: width, z } },
    { name: 'foot-left', at: { x: length, y: width, z } },
    { name: 'foot-right', at: { x: length, y: 0, z } },
  ];
}

/** What can be marked besides: the spots of the cloth, and the edge of the cushions opposite some sights. */
export function furtherLandmarks({ length, width, preset, parameters }: Table): readonly Landmark[] {
  const z = parameters.noseHeight;
  const spots = spotsOf(preset).map(({ name, at }) => ({ name: `spot ${name}`, at: { ...at, z: 0 } }));
  const edges = [
    { name: 'edge head', at: { x: 0, y: width / 2, z } },
    { name: 'edge foot', at: { x: length, y: width / 2, z } },
    ...[1, 3].flatMap((quarter) => [
      { name: `edge right ${String(quarter)}`, at: { x: (quarter / 4) * length, y: 0, z } },
      { name: `edge left ${String(quarter)}`, at: { x: (quarter / 4) * length, y: width, z } },
    ]),
  ];
  return [...spots, ...edges];
}
