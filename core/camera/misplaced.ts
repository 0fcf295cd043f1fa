import { distance, type Point } from '../math/point.ts';
import type { LyingBall } from './watch.ts';

/** A ball that does not lie where it should. */
export interface Misplaced {
  readonly ball: string;
  /** How far it lies beside its place, metres; undefined where it is not seen at all. */
  readonly off: number | undefined;
}

/** A ball set by hand lies so near to its place, metres; a sticker on the cloth is as wide. */
const BY_HAND = 0.015;

/**
 * Balls that do not lie where a drill wants them.
 * @param wanted the drill's balls @param seen as a camera has them, at rest
 */
export function misplaced(
  wanted: readonly (Point & { readonly id: string })[],
  seen: readonly LyingBall[],
): readonly Misplaced[] {
  return wanted.flatMap((place): Misplaced[] => {
    const ball = seen.find(({ name }) => name === place.id);
    if (ball === undefined) return [{ ball: place.id, off: undefined }];
    const off = distance(ball.at, place);
    return off > BY_HAND + 2 * ball.error ? [{ ball: place.id, off }] : [];
  });
}
