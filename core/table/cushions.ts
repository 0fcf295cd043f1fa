import type { Point } from '../math/point.ts';
import { toRadians } from '../math/angle.ts';
import type { JawShape, PocketShape, TablePreset } from './preset.ts';

export type CushionName = 'head' | 'foot' | 'right-head' | 'right-foot' | 'left-head' | 'left-foot';

/** The end of a cushion at a pocket, `back` where it disappears into it; none on a table without pockets. */
export type Jaw =
  | { readonly kind: 'none' }
  | { readonly kind: 'facing'; readonly back: Point }
  | { readonly kind: 'curve'; readonly centre: Point; readonly radius: number; readonly back: Point };

/** One of the six cushions: its nose from one pocket to the next, counter-clockwise round the table. */
export interface Cushion {
  readonly name: CushionName;
  readonly noseFrom: Point;
  readonly noseTo: Point;
  readonly jawFrom: Jaw;
  readonly jawTo: Jaw;
  /** Unit vector from the nose into the table. */
  readonly inward: Point;
}

/** What a ball can rebound from, in plan: the nose of a cushion or a facing (line), a point or curved jaw (arc). */
export type CushionPiece =
  | {
      readonly kind: 'line';
      readonly cushion: CushionName;
      readonly from: Point;
      readonly to: Point;
      /** Unit vector away from the rubber. */
      readonly normal: Point;
    }
  | { readonly kind: 'arc'; readonly cushion: CushionName; readonly centre: Point; readonly radius: number };

/** How far from the pocket's corner, or centre, the straight nose begins, metres. */
export function noseInset(pocket: PocketShape, place: 'corner' | 'middle'): number {
  const { mouth, jaw } = pocket;
  if (jaw.kind === 'facing') return place === 'corner' ? mouth / Math.SQRT2 : mouth / 2;
  // Two circles of the jaw's radius, tangent to the noses, stand `mouth` apart where they come closest.
  return place === 'corner' ? (mouth + 2 * jaw.radius) / Math.SQRT2 - jaw.radius : mouth / 2 + jaw.radius;
}

function jawAt(tip: Point, alongToPocket: Point, inward: Point, shape: JawShape): Jaw {
  if (shape.kind === 'facing') {
    const turn = toRadians(180 - shape.angleDeg);
    const along = shape.length * Math.cos(turn);
    const into = -shape.length * Math.sin(turn);
    return {
      kind: 'facing',
      back: {
        x: tip.x + along * alongToPocket.x + into * inward.x,
        y: tip.y + along * alongToPocket.y + into * inward.y,
      },
    };
  }
  const centre = { x: tip.x - shape.radius * inward.x, y: tip.y - shape.radius * inward.y };
  const sweep = toRadians(shape.sweepDeg);
  const along = shape.radius * Math.sin(sweep);
  const into = shape.radius * Math.cos(sweep);
  return {
    kind: 'curve',
    centre,
    radius: shape.radius,
    back: {
      x: centre.x + along * alongToPocket.x + into * inward.x,
      y: centre.y + along * alongToPocket.y + into * inward.y,
    },
  };
}

/** The six cushions of a table, counter-clockwise from the head end of the right-hand side. */
export function buildCushions(preset: TablePreset): readonly Cushion[] {
  const { length, width, corner, middle } = preset;
  const edge = (
    name: CushionName,
    from: Point,
    to: Point,
    inward: Point,
    pocketFrom: 'corner' | 'middle',
    pocketTo: 'corner' | 'middle',
  ): Cushion => {
    const span = Math.hypot(to.x - from.x, to.y - from.y);
    const along = { x: (to.x - from.x) / span, y: (to.y - from.y) / span };
    const start = noseInset(preset[pocketFrom], pocketFrom);
    const end = span - noseInset(preset[pocketTo], pocketTo);
    const noseFrom = { x: from.x + start * along.x, y: from.y + start * along.y };
    const noseTo = { x: from.x + end * along.x, y: from.y + end * along.y };
    const shapeFrom = (pocketFrom === 'corner' ? corner : middle).jaw;
    const shapeTo = (pocketTo === 'corner' ? corner : middle).jaw;
    return {
      name,
      noseFrom,
      noseTo,
      inward,
      jawFrom: jawAt(noseFrom, { x: -along.x, y: -along.y }, inward, shapeFrom),
      jawTo: jawAt(noseTo, along, inward, shapeTo),
    };
  };
  const half = length / 2;
  const up = { x: 0, y: 1 };
  const down = { x: 0, y: -1 };
  return [
    edge('right-head', { x: 0, y: 0 }, { x: half, y: 0 }, up, 'corner', 'middle'),
    edge('right-foot', { x: half, y: 0 }, { x: length, y: 0 }, up, 'middle', 'corner'),
    edge('foot', { x: length, y: 0 }, { x: length, y: width }, { x: -1, y: 0 }, 'corner', 'corner'),
    edge('left-foot', { x: length, y: width }, { x: half, y: width }, down, 'corner', 'middle'),
    edge('left-head', { x: half, y: width }, { x: 0, y: width }, down, 'middle', 'corner'),
    edge('head', { x: 0, y: width }, { x: 0, y: 0 }, { x: 1, y: 0 }, 'corner', 'corner'),
  ];
}

/** The cushions of a table without pockets: their noses run from corner to corner. */
export function buildPlainCushions(preset: TablePreset): readonly Cushion[] {
  const { length, width } = preset;
  const half = length / 2;
  const jaw = { kind: 'none' } as const;
  const edge = (name: CushionName, noseFrom: Point, noseTo: Point, inward: Point): Cushion => ({
    name,
    noseFrom,
    noseTo,
    jawFrom: jaw,
    jawTo: jaw,
    inward,
  });
  return [
    edge('right-head', { x: 0, y: 0 }, { x: half, y: 0 }, { x: 0, y: 1 }),
    edge('right-foot', { x: half, y: 0 }, { x: length, y: 0 }, { x: 0, y: 1 }),
    edge('foot', { x: length, y: 0 }, { x: length, y: width }, { x: -1, y: 0 }),
    edge('left-foot', { x: length, y: width }, { x: half, y: width }, { x: 0, y: -1 }),
    edge('left-head', { x: half, y: width }, { x: 0, y: width }, { x: 0, y: -1 }),
    edge('head', { x: 0, y: width }, { x: 0, y: 0 }, { x: 1, y: 0 }),
  ];
}

function jawPieces(cushion: Cushion, tip: Point, jaw: Jaw, pocketIsAhead: boolean): CushionPiece[] {
  if (jaw.kind === 'none') return [];
  if (jaw.kind === 'curve') {
    return [{ kind: 'arc', cushion: cushion.name, centre: jaw.centre, radius: jaw.radius }];
  }
  const dx = jaw.back.x - tip.x;
  const dy = jaw.back.y - tip.y;
  const size = Math.hypot(dx, dy);
  // The rubber lies to the right of the nose's direction; seen along the facing into the pocket it is on the
  // right at the end of a cushion and on the left at its beginning.
  const side = pocketIsAhead ? 1 : -1;
  return [
    { kind: 'arc', cushion: cushion.name, centre: tip, radius: 0 },
    {
      kind: 'line',
      cushion: cushion.name,
      from: tip,
      to: jaw.back,
      normal: { x: (-side * dy) / size, y: (side * dx) / size },
    },
  ];
}

/** All that a ball can rebound from: per cushion its nose and its two jaws. */
export function cushionPieces(cushions: readonly Cushion[]): readonly CushionPiece[] {
  return cushions.flatMap((cushion) => [
    {
      kind: 'line' as const,
      cushion: cushion.name,
      from: cushion.noseFrom,
      to: cushion.noseTo,
      normal: cushion.inward,
    },
    ...jawPieces(cushion, cushion.noseFrom, cushion.jawFrom, false),
    ...jawPieces(cushion, cushion.noseTo, cushion.jawTo, true),
  ]);
}
