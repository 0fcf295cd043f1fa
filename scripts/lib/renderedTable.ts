import { Resvg } from '@resvg/resvg-js';
import type { Random } from '../../core/random/random.ts';
import type { Table } from '../../core/table/table.ts';

/** A ball in a picture that is drawn by us. */
export interface DrawnBall {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly colour: readonly [number, number, number];
}

/** From where a picture is taken, metres and radians, and how its lens is. */
export interface Viewpoint {
  readonly eye: readonly [number, number, number];
  readonly towards: readonly [number, number, number];
  /** About the line of sight. */
  readonly roll: number;
  /** Share of the longer side. */
  readonly focal: number;
  readonly distortion: number;
  readonly width: number;
  readonly height: number;
}

type Vector = readonly [number, number, number];
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const times = (a: Vector, k: number): Vector => [a[0] * k, a[1] * k, a[2] * k];
const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Vector): Vector => times(a, 1 / Math.hypot(...a));

/** Where a place of the room is drawn, by looking from one point towards another; pixels across and down. */
export function drawnAt(view: Viewpoint, place: Vector): readonly [number, number] {
  const ahead = unit(minus(view.towards, view.eye));
  const level = unit(cross(ahead, [0, 0, 1]));
  const below = cross(ahead, level);
  const right = plus(times(level, Math.cos(view.roll)), times(below, Math.sin(view.roll)));
  const down = plus(times(below, Math.cos(view.roll)), times(level, -Math.sin(view.roll)));
  const seen = minus(place, view.eye);
  const [u, v] = [dot(seen, right) / dot(seen, ahead), dot(seen, down) / dot(seen, ahead)];
  const bent = view.focal * Math.max(view.width, view.height) * (1 + view.distortion * (u * u + v * v));
  return [view.width / 2 + bent * u, view.height / 2 + bent * v];
}

const STEPS = 40;
const CLOTH: Vector = [52, 116, 96];
const WOOD = 'rgb(120,84,52)';
const css = (colour: readonly number[], light = 1) =>
  `rgb(${colour.map((part) => Math.round(Math.min(255, part * light))).join(',')})`;

/** A closed line through places of the room, with straight sides bent as the lens bends them. */
function shape(view: Viewpoint, places: readonly Vector[], fill: string): string {
  const points = places.flatMap((from, i) => {
    const to = places[(i + 1) % places.length] ?? from;
    const between = places.length > 8 ? 1 : 12;
    return Array.from({ length: between }, (_, k) =>
      drawnAt(view, plus(times(from, 1 - k / between), times(to, k / between))),
    );
  });
  return `<polygon fill="${fill}" points="${points.map(([u, v]) => `${u.toFixed(2)},${v.toFixed(2)}`).join(' ')}"/>`;
}

function disc(view: Viewpoint, x: number, y: number, z: number, radius: number, fill: string): string {
  const round = Array.from({ length: STEPS }, (_, k): Vector => {
    const angle = (2 * Math.PI * k) / STEPS;
    return [x + radius * Math.cos(angle), y + radius * Math.sin(angle), z];
  });
  return shape(view, round, fill);
}

/** The outline of a ball: the circle in which lines of sight touch it. */
function ballShape(
  view: Viewpoint,
  { x, y, radius }: DrawnBall,
  share: number,
  fill: string,
  off: Vector = [0, 0, 0],
): string {
  const middle: Vector = plus([x, y, radius], off);
  const away = minus(middle, view.eye);
  const far = Math.hypot(...away);
  const ahead = unit(away);
  const side = unit(cross(ahead, [0, 0, 1]));
  const up = cross(side, ahead);
  const size = share * radius * Math.sqrt(1 - (radius / far) ** 2);
  const centre = plus(middle, times(ahead, (-radius * radius) / far));
  const round = Array.from({ length: STEPS }, (_, k) => {
    const angle = (2 * Math.PI * k) / STEPS;
    return plus(centre, plus(times(side, size * Math.cos(angle)), times(up, size * Math.sin(angle))));
  });
  return shape(view, round, fill);
}

/** The picture of a table with balls as a drawing: floor, wood, cushions, cloth in uneven light, pockets, shadows, balls that shine. */
function drawing(table: Table, balls: readonly DrawnBall[], view: Viewpoint): string {
  const { length, width, parameters, preset } = table;
  const nose = parameters.noseHeight;
  const box = (by: number, z: number): Vector[] => [
    [-by, -by, z],
    [-by, width + by, z],
    [length + by, width + by, z],
    [length + by, -by, z],
  ];
  const lit = (x: number, y: number) =>
    0.8 + 0.3 * Math.exp(-(((x - length / 2) / length) ** 2 + ((y - width / 2) / width) ** 2) * 3);
  const squares: string[] = [];
  const [along, across] = [16, 8];
  for (let i = 0; i < along; i++)
    for (let j = 0; j < across; j++) {
      const [x, y] = [(i * length) / along, (j * width) / across];
      const [dx, dy] = [length / along + 0.002, width / across + 0.002];
      squares.push(
        shape(
          view,
          [
            [x, y, 0],
            [x, y + dy, 0],
            [x + dx, y + dy, 0],
            [x + dx, y, 0],
          ],
          css(CLOTH, lit(x + dx / 2, y + dy / 2)),
        ),
      );
    }
  const cushions = (
    [
      [0, 0],
      [0, width],
      [length, width],
      [length, 0],
    ] as const
  ).map(([x, y], i, all) => {
    const [nx, ny] = all[(i + 1) % 4] ?? [0, 0];
    return shape(
      view,
      [
        [x, y, nose],
        [nx, ny, nose],
        [nx, ny, 0],
        [x, y, 0],
      ],
      css(CLOTH, 0.62),
    );
  });
  const far = [...balls].sort(
    (a, b) =>
      Math.hypot(b.x - view.eye[0], b.y - view.eye[1]) - Math.hypot(a.x - view.eye[0], a.y - view.eye[1]),
  );
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${view.width}" height="${view.height}">`,
    `<rect width="100%" height="100%" fill="rgb(66,60,58)"/>`,
    shape(view, box(0.14, nose), WOOD),
    shape(view, box(0.045, nose), css(CLOTH, 0.9)),
    shape(view, box(0, nose), css(CLOTH, 0.62)),
    ...cushions,
    ...squares,
    ...table.pockets.map(({ mouth }) =>
      disc(view, mouth.x, mouth.y, 0, preset.ballRadius * 1.9, 'rgb(18,16,16)'),
    ),
    ...far.flatMap((ball) => [
      disc(
        view,
        ball.x + 0.3 * ball.radius,
        ball.y + 0.2 * ball.radius,
        0,
        1.05 * ball.radius,
        css(CLOTH, 0.5),
      ),
      ballShape(view, ball, 1, css(ball.colour, 0.72)),
      ballShape(view, ball, 0.78, css(ball.colour, 0.95), [0, 0, 0.15 * ball.radius]),
      ballShape(view, ball, 0.2, 'rgb(250,250,250)', [0, 0, 0.45 * ball.radius]),
    ]),
    '</svg>',
  ].join('');
}

export interface RenderedPicture {
  readonly width: number;
  readonly height: number;
  /** Red, green, blue, opacity, row by row. */
  readonly data: Uint8Array;
}

/** A picture of a table with balls, with noise. @param noise standard deviation, of 255 */
export function renderedTable(
  table: Table,
  balls: readonly DrawnBall[],
  view: Viewpoint,
  noise: number,
  random: Random,
): RenderedPicture {
  const image = new Resvg(drawing(table, balls, view)).render();
  const data = Uint8Array.from(image.pixels, (value, i) =>
    i % 4 === 3 ? 255 : Math.max(0, Math.min(255, Math.round(value + noise * random.normal()))),
  );
  return { width: image.width, height: image.height, data };
}

/** The same as a PNG file, without noise. */
export function renderedPng(table: Table, balls: readonly DrawnBall[], view: Viewpoint): Uint8Array {
  return new Resvg(drawing(table, balls, view)).render().asPng();
}
