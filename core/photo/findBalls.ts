import type { Point } from '../math/point.ts';
import { median } from '../statistics/summary.ts';
import type { Table } from '../table/table.ts';
import { eyeOf, projected, projectorOf, type Camera, type Pixel } from './camera.ts';

/** A picture's pixels: red, green, blue, opacity, row by row, 0…255. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
}

export type Colour = readonly [red: number, green: number, blue: number];

/** Something in a picture that looks like a ball. */
export interface ProposedBall {
  readonly pixel: Pixel;
  /** Where its middle lies, metres. */
  readonly at: Point;
  readonly colour: Colour;
  /** The whitest of them, if one is white. */
  readonly isCueBall: boolean;
}

/** The table is looked at in squares of a ball's radius divided by this. */
const SQUARES = 7;
/** The cloth's colour is that of most squares in a field of so many by so many radii: light falls unevenly. */
const FIELD = 8;
/** Another colour than the cloth's beyond this, of 255; brighter or darker than it by more than these factors. */
const OTHER_COLOUR = 30;
const BRIGHTER = 1.6;
const DARKER = 0.42;
/** So much of a ball is not the cloth's colour; of the ring round it at most. */
const BALL_SHARE = 0.78;
const RING = 1.3;
const RING_COUNTS = 0.5;
/** A dark place so near to a pocket, in radii, is the pocket. */
const POCKET_REACH = 3.2;
/** White: its least bright part of 255, and how far apart its parts are at most, a share. */
const WHITE = { least: 130, apart: 0.3 } as const;
const MOST_BALLS = 22;

/** The squares of the plane in which the middles of the balls are. */
interface Grid {
  readonly along: number;
  readonly across: number;
  readonly step: number;
  readonly colours: readonly Colour[];
}

/**
 * Proposes the balls of a picture: where it is not of the cloth's colour in the shape that a ball has from there, the best one first,
 * each taken out before the next is looked for, so that touching balls are told apart.
 * @param camera how the picture was taken
 */
export function findBalls(picture: Picture, camera: Camera, table: Table): readonly ProposedBall[] {
  const radius = table.preset.ballRadius;
  const grid = gridOf(picture, camera, table, radius / SQUARES, radius);
  const isOther = otherThanCloth(grid);
  const left = Uint8Array.from(isOther, (other) => (other ? 1 : 0));
  const found: ProposedBall[] = [];
  const shapes = new Map<number, Shape>();
  const shapeAt = (square: number) => {
    const known = shapes.get(square);
    if (known !== undefined) return known;
    const shape = shapeOf(grid, camera, square, radius);
    shapes.set(square, shape);
    return shape;
  };
  const scores = new Float64Array(left.length).fill(-1);
  const scored = (square: number) => {
    const { ball, ring } = shapeAt(square);
    const share = (squares: readonly number[]) =>
      squares.length === 0 ? 0 : squares.reduce((sum, each) => sum + (left[each] ?? 0), 0) / squares.length;
    const inside = share(ball);
    return inside < BALL_SHARE ? -1 : inside - RING_COUNTS * share(ring);
  };
  const candidates = [...left.keys()].filter(
    (square) => left[square] === 1 && isOnCloth(grid, table, square, radius),
  );
  for (const square of candidates) scores[square] = scored(square);
  while (found.length < MOST_BALLS) {
    let best = -1;
    for (const square of candidates)
      if ((scores[square] ?? -1) > (best < 0 ? -1 : (scores[best] ?? -1))) best = square;
    if (best < 0 || (scores[best] ?? -1) <= 0) break;
    const middle = middleOf(grid, candidates, scores, best, radius);
    const { ball } = shapeAt(best);
    const colour = meanColour(grid, ball);
    for (const square of ball) left[square] = 0;
    const at = placeOf(grid, best);
    for (const square of candidates) {
      const there = placeOf(grid, square);
      if (Math.hypot(there.x - at.x, there.y - at.y) < 6 * radius) scores[square] = scored(square);
    }
    const pixel = projected(camera, { ...middle, z: radius });
    if (pixel !== undefined && !isPocket(table, middle, colour, radius))
      found.push({ pixel, at: middle, colour, isCueBall: false });
  }
  const whitest = found.reduce<ProposedBall | undefined>((so, each) => {
    const isWhite = Math.min(...each.colour) > WHITE.least && spreadOf(each.colour) < WHITE.apart;
    return isWhite && (so === undefined || Math.min(...each.colour) > Math.min(...so.colour)) ? each : so;
  }, undefined);
  return found.map((each) => ({ ...each, isCueBall: each === whitest }));
}

const spreadOf = (colour: Colour) => 1 - Math.min(...colour) / Math.max(1, ...colour);

function gridOf(picture: Picture, camera: Camera, table: Table, step: number, z: number): Grid {
  const along = Math.floor(table.length / step);
  const across = Math.floor(table.width / step);
  const project = projectorOf(camera);
  const colours = Array.from({ length: along * across }, (_, square): Colour => {
    const { x, y } = placeOf({ across, step }, square);
    const pixel = project({ x, y, z });
    return pixel === undefined ? [0, 0, 0] : colourAt(picture, pixel);
  });
  return { along, across, step, colours };
}

function placeOf({ across, step }: Pick<Grid, 'across' | 'step'>, square: number): Point {
  return { x: (Math.floor(square / across) + 0.5) * step, y: ((square % across) + 0.5) * step };
}

/** The mean of the pixels round a place, so that noise counts less. */
function colourAt({ width, height, data }: Picture, { across, down }: Pixel): Colour {
  const sums: [number, number, number] = [0, 0, 0];
  let count = 0;
  for (let i = -1; i <= 1; i++)
    for (let j = -1; j <= 1; j++) {
      const [u, v] = [Math.floor(across) + i, Math.floor(down) + j];
      if (u < 0 || v < 0 || u >= width || v >= height) continue;
      const start = 4 * (v * width + u);
      sums[0] += data[start] ?? 0;
      sums[1] += data[start + 1] ?? 0;
      sums[2] += data[start + 2] ?? 0;
      count++;
    }
  return count === 0 ? [0, 0, 0] : [sums[0] / count, sums[1] / count, sums[2] / count];
}

/** Which squares are not of the cloth's colour there, in light or shadow. */
function otherThanCloth(grid: Grid): readonly boolean[] {
  const size = Math.round(FIELD * SQUARES);
  const [fieldsAlong, fieldsAcross] = [Math.ceil(grid.along / size), Math.ceil(grid.across / size)];
  const members: number[][] = Array.from({ length: fieldsAlong * fieldsAcross }, () => []);
  const fieldOf = (square: number) =>
    Math.floor(Math.floor(square / grid.across) / size) * fieldsAcross +
    Math.floor((square % grid.across) / size);
  grid.colours.forEach((_, square) => members[fieldOf(square)]?.push(square));
  const cloths = members.map((squares): Colour => {
    const part = (i: 0 | 1 | 2) => median(squares.map((square) => grid.colours[square]?.[i] ?? 0));
    return [part(0), part(1), part(2)];
  });
  const whole: Colour = [0, 1, 2].map((i) => median(cloths.map((cloth) => cloth[i] ?? 0))) as [
    number,
    number,
    number,
  ];
  return grid.colours.map((colour, square) => {
    // At the edge of a shadow the field's colour is of one side only: what is as most of the cloth is cloth, too.
    return isOff(colour, cloths[fieldOf(square)] ?? whole) && isOff(colour, whole);
  });
}

/** Of another colour, or much brighter or darker. */
function isOff(colour: Colour, cloth: Colour): boolean {
  const dot = colour[0] * cloth[0] + colour[1] * cloth[1] + colour[2] * cloth[2];
  const light = dot / (cloth[0] ** 2 + cloth[1] ** 2 + cloth[2] ** 2 + 1e-9);
  const rest = Math.hypot(
    colour[0] - light * cloth[0],
    colour[1] - light * cloth[1],
    colour[2] - light * cloth[2],
  );
  return rest > OTHER_COLOUR || light > BRIGHTER || light < DARKER;
}

/** The squares that a ball covers as the camera sees it, and those of a ring round it. */
interface Shape {
  readonly ball: readonly number[];
  readonly ring: readonly number[];
}

function shapeOf(grid: Grid, camera: Camera, square: number, radius: number): Shape {
  const at = placeOf(grid, square);
  const eye = eyeOf(camera);
  const [mx, my, mz] = [at.x - eye.x, at.y - eye.y, radius - eye.z];
  const low = Math.hypot(eye.x - at.x, eye.y - at.y) / Math.max(0.1, eye.z - radius);
  // A ball that is seen from the side covers more of the plane, away from the eye and towards it.
  const reach = Math.ceil(RING * SQUARES * Math.hypot(1, low));
  const [row, column] = [Math.floor(square / grid.across), square % grid.across];
  const ball: number[] = [];
  const ring: number[] = [];
  for (let i = -reach; i <= reach; i++)
    for (let j = -reach; j <= reach; j++) {
      const [r, c] = [row + i, column + j];
      if (r < 0 || c < 0 || r >= grid.along || c >= grid.across) continue;
      const other = r * grid.across + c;
      // How far the middle is from the line of sight through the other square: by the cross product.
      const [dx, dy] = [(r + 0.5) * grid.step - eye.x, (c + 0.5) * grid.step - eye.y];
      const [cx, cy, cz] = [dy * mz - mz * my, mz * mx - dx * mz, dx * my - dy * mx];
      const off = Math.sqrt((cx * cx + cy * cy + cz * cz) / (dx * dx + dy * dy + mz * mz)) / radius;
      if (off <= 1) ball.push(other);
      else if (off <= RING) ring.push(other);
    }
  return { ball, ring };
}

function isOnCloth(grid: Grid, { length, width }: Table, square: number, radius: number): boolean {
  const { x, y } = placeOf(grid, square);
  // A ball at a nose lies a little further in than its radius, or out: the nose meets it above its middle.
  const edge = 0.9 * radius;
  return x >= edge && y >= edge && x <= length - edge && y <= width - edge;
}

/** The middle of the squares that are nearly as good as the best one. */
function middleOf(
  grid: Grid,
  candidates: readonly number[],
  scores: Float64Array,
  best: number,
  radius: number,
): Point {
  const at = placeOf(grid, best);
  const most = scores[best] ?? 0;
  let [x, y, sum] = [0, 0, 0];
  for (const square of candidates) {
    const there = placeOf(grid, square);
    const weight = Math.max(0, (scores[square] ?? -1) - 0.93 * most);
    if (weight === 0 || Math.hypot(there.x - at.x, there.y - at.y) > radius / 2) continue;
    [x, y, sum] = [x + weight * there.x, y + weight * there.y, sum + weight];
  }
  return { x: x / sum, y: y / sum };
}

function meanColour(grid: Grid, squares: readonly number[]): Colour {
  const part = (i: 0 | 1 | 2) => median(squares.map((square) => grid.colours[square]?.[i] ?? 0));
  return [part(0), part(1), part(2)];
}

function isPocket({ pockets }: Table, at: Point, colour: Colour, radius: number): boolean {
  return (
    Math.max(...colour) < WHITE.least / 2 &&
    pockets.some(({ mouth }) => Math.hypot(mouth.x - at.x, mouth.y - at.y) < POCKET_REACH * radius)
  );
}
