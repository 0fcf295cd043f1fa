import type { Point } from '../math/point.ts';
import type { BallPath, ShotResult } from './shot.ts';

/** Where a ball of a simulated path is at time t (seconds); before its first piece it is where that starts. */
export function positionAt(path: BallPath, t: number): Point {
  let piece = path.pieces[0];
  for (const candidate of path.pieces) {
    if (candidate.t > t) break;
    piece = candidate;
  }
  if (piece === undefined) throw new RangeError('positionAt: the path must have at least one piece');
  const tau = Math.max(0, t - piece.t);
  return {
    x: piece.x + (piece.vx + 0.5 * piece.ax * tau) * tau,
    y: piece.y + (piece.vy + 0.5 * piece.ay * tau) * tau,
  };
}

/**
 * A path as points for drawing: each piece at its ends and, where it curves, at even times in between.
 * @param end when the shot was over, seconds
 * @param perCurve points a curved piece is cut into, ≥ 1
 */
export function samplePath(path: BallPath, end: number, perCurve = 16): readonly Point[] {
  const points: Point[] = [];
  path.pieces.forEach((piece, index) => {
    const until = path.pieces[index + 1]?.t ?? end;
    const moves = piece.vx !== 0 || piece.vy !== 0 || piece.ax !== 0 || piece.ay !== 0;
    const bends = Math.abs(piece.vx * piece.ay - piece.vy * piece.ax) > 1e-9;
    const cuts = !moves ? 1 : bends ? perCurve : 1;
    for (let k = 0; k < cuts; k++)
      points.push(positionAt({ id: path.id, pieces: [piece] }, piece.t + ((until - piece.t) * k) / cuts));
    if (index === path.pieces.length - 1)
      points.push(positionAt({ id: path.id, pieces: [piece] }, moves ? until : piece.t));
  });
  return points.filter((p, i) => i === 0 || p.x !== points[i - 1]!.x || p.y !== points[i - 1]!.y);
}

/**
 * A ball's way from the first hit of two balls to its rest, as points for drawing; of a shot that hits nothing all of it.
 * @param result with its paths @param ball whose way; without one there are no points
 */
export function wayAfterHit(
  { paths, events, duration }: Pick<ShotResult, 'paths' | 'events' | 'duration'>,
  ball: string,
): readonly Point[] {
  const hit = events.find(({ kind }) => kind === 'ball-ball')?.t ?? 0;
  const path = paths?.find(({ id }) => id === ball);
  if (path === undefined) return [];
  const later = path.pieces.filter(({ t }) => t >= hit - 1e-9);
  return samplePath({ id: path.id, pieces: later }, duration);
}
