import type { BallOnTable, PathPiece } from '../../motion/shot.ts';

/** A way that passes a ball by less counts as hindered by it, metres. */
const MARGIN = 0.004;
/** So much nearer than it began a way has to come to a ball that lay beside it, metres: one that goes away from it is free. */
const NEARER = 1e-6;
/** A way is looked at every so many metres, and at so many points of a stretch at most. */
const EVERY = 0.02;
const MOST_POINTS = 60;

/**
 * The balls that a way passes too near, bit by bit; one that lies beside its beginning only where it comes nearer to it.
 * @param pieces of the way @param end of the shot, seconds @param radius of the ball that goes, metres
 * @param balls those that lie there, at most 31 @param but the place in that list of the ball that is meant to be met
 */
export function hinderedBits(
  pieces: readonly PathPiece[],
  end: number,
  radius: number,
  balls: readonly BallOnTable[],
  but: number,
): number {
  let bits = 0;
  const begin = pieces[0];
  const reach2 = balls.map((ball) => {
    const reach = radius + ball.radius + MARGIN;
    const off = begin === undefined ? reach : Math.hypot(ball.x - begin.x, ball.y - begin.y) - NEARER;
    return Math.min(reach, off) ** 2;
  });
  for (const [k, piece] of pieces.entries()) {
    const until = Math.min(end, pieces[k + 1]?.t ?? end) - piece.t;
    if (!(until > 0)) continue;
    const speed = Math.hypot(piece.vx, piece.vy);
    const cuts = Math.max(1, Math.min(MOST_POINTS, Math.ceil((speed * until) / EVERY)));
    for (let c = 0; c <= cuts; c++) {
      const t = (until * c) / cuts;
      const x = piece.x + (piece.vx + 0.5 * piece.ax * t) * t;
      const y = piece.y + (piece.vy + 0.5 * piece.ay * t) * t;
      for (let b = 0; b < balls.length; b++) {
        if (b === but || (bits & (1 << b)) !== 0) continue;
        const ball = balls[b]!;
        if ((ball.x - x) * (ball.x - x) + (ball.y - y) * (ball.y - y) < reach2[b]!) bits |= 1 << b;
      }
    }
  }
  return bits;
}
