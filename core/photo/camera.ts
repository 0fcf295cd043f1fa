import type { Point } from '../math/point.ts';

/** A place in the room: on the table as ever, and its height above the cloth, metres. */
export interface Place extends Point {
  readonly z: number;
}

/** A place in a picture, pixels from its top left corner: across, then down. */
export interface Pixel {
  readonly across: number;
  readonly down: number;
}

export interface PictureSize {
  readonly width: number;
  readonly height: number;
}

/**
 * How a picture was taken: a pinhole in the middle of the picture with square pixels and one term of radial distortion (Brown 1966;
 * Zhang 2000).
 */
export interface Camera {
  readonly size: PictureSize;
  /** Pixels. */
  readonly focal: number;
  /** Rotation of the room into the camera's axes (right, down, ahead): axis times angle, radians. */
  readonly turn: readonly [number, number, number];
  /** The table's head right corner in the camera's axes, metres. */
  readonly origin: readonly [number, number, number];
  /** A ray that is r off the axis, in focal lengths, is drawn at r (1 + distortion r²). */
  readonly distortion: number;
}

type Vector = readonly [number, number, number];
type Rows = readonly [Vector, Vector, Vector];

/** The rows of a rotation, by Rodrigues' formula. */
function rotationOf([x, y, z]: Vector): Rows {
  const angle = Math.hypot(x, y, z);
  if (angle < 1e-12)
    return [
      [1, -z, y],
      [z, 1, -x],
      [-y, x, 1],
    ];
  const [a, b, c] = [x / angle, y / angle, z / angle];
  const [s, k] = [Math.sin(angle), 1 - Math.cos(angle)];
  return [
    [1 - k * (b * b + c * c), k * a * b - s * c, k * a * c + s * b],
    [k * a * b + s * c, 1 - k * (a * a + c * c), k * b * c - s * a],
    [k * a * c - s * b, k * b * c + s * a, 1 - k * (a * a + b * b)],
  ];
}

/** Where places are drawn by a camera, one after the other; undefined for one that is not in front of it. */
export function projectorOf(camera: Camera): (place: Place) => Pixel | undefined {
  const [first, second, third] = rotationOf(camera.turn);
  const { size, focal, distortion, origin } = camera;
  return ({ x, y, z }) => {
    const ahead = third[0] * x + third[1] * y + third[2] * z + origin[2];
    if (ahead <= 1e-6) return undefined;
    const u = (first[0] * x + first[1] * y + first[2] * z + origin[0]) / ahead;
    const v = (second[0] * x + second[1] * y + second[2] * z + origin[1]) / ahead;
    const drawn = focal * (1 + distortion * (u * u + v * v));
    return { across: size.width / 2 + drawn * u, down: size.height / 2 + drawn * v };
  };
}

/** Where a place is drawn; undefined for one that is not in front of the camera. */
export const projected = (camera: Camera, place: Place): Pixel | undefined => projectorOf(camera)(place);

/** A line of sight: from the camera's eye, in the room. */
interface Ray {
  readonly eye: Place;
  readonly ahead: Place;
}

/** Rounds of undoing the distortion: each makes what is left smaller by the distortion itself. */
const UNDOING = 20;

/** Where the camera stands. */
export function eyeOf({ turn, origin: [right, down, ahead] }: Pick<Camera, 'turn' | 'origin'>): Place {
  return turnedBack(rotationOf(turn), [-right, -down, -ahead]);
}

/** A direction in the camera's axes as one of the room: a rotation is undone by its columns. */
const turnedBack = (rows: Rows, [a, b, c]: Vector): Place => ({
  x: rows[0][0] * a + rows[1][0] * b + rows[2][0] * c,
  y: rows[0][1] * a + rows[1][1] * b + rows[2][1] * c,
  z: rows[0][2] * a + rows[1][2] * b + rows[2][2] * c,
});

/** The line of sight that is drawn at a pixel. */
function rayOf(camera: Camera, { across, down }: Pixel): Ray {
  const { size, focal, distortion } = camera;
  const [du, dv] = [(across - size.width / 2) / focal, (down - size.height / 2) / focal];
  let [u, v] = [du, dv];
  for (let k = 0; k < UNDOING; k++) {
    const factor = 1 + distortion * (u * u + v * v);
    [u, v] = [du / factor, dv / factor];
  }
  return { eye: eyeOf(camera), ahead: turnedBack(rotationOf(camera.turn), [u, v, 1]) };
}

/** Where the line of sight of a pixel meets a height above the cloth; undefined where it does not. @param z metres */
export function placeAt(camera: Camera, pixel: Pixel, z: number): Point | undefined {
  const { eye, ahead } = rayOf(camera, pixel);
  const t = (z - eye.z) / ahead.z;
  if (!Number.isFinite(t) || t <= 0) return undefined;
  return { x: eye.x + t * ahead.x, y: eye.y + t * ahead.y };
}
