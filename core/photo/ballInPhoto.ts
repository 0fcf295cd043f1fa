import { distance, type Point } from '../math/point.ts';
import { placeAt, type Pixel } from './camera.ts';
import type { SolvedCamera } from './solveCamera.ts';

/** A ball as a picture has it. */
export interface SeenBall {
  /** The place of its middle on the table, metres. */
  readonly at: Point;
  /** How far off that is, metres: a standard deviation of the distance. */
  readonly error: number;
}

/** The middle of a ball is marked to so much of its radius as it is drawn: a standard deviation, our own estimate. */
const MARKED = 0.12;

/**
 * Where a ball lies, from where its middle is drawn: on the line of sight at the height of its middle. Its error is that of the marks
 * that were not used, and of marking the ball, as it comes to the cloth there.
 * @param radius of the ball, metres @returns undefined where the line of sight does not come down to the table
 */
export function ballInPhoto(
  { camera, error }: Pick<SolvedCamera, 'camera' | 'error'>,
  pixel: Pixel,
  radius: number,
): SeenBall | undefined {
  const at = placeAt(camera, pixel, radius);
  const right = placeAt(camera, { ...pixel, across: pixel.across + 1 }, radius);
  const below = placeAt(camera, { ...pixel, down: pixel.down + 1 }, radius);
  if (at === undefined || right === undefined || below === undefined) return undefined;
  const perPixel = Math.hypot(distance(at, right), distance(at, below));
  return { at, error: Math.hypot(error * perPixel, MARKED * radius) };
}
