import type { Shot, ShotResult, BallMotion, PathPiece } from '../motion/shot.ts';
import { simulate, simulateMotion } from '../motion/simulate.ts';
import { distance } from '../math/point.ts';
import type { PocketName } from '../table/pockets.ts';
import { nearestApproach } from './passing.ts';

/** How near a stroke comes to losing the cue ball. */
export interface InOffMargin {
  readonly pocket: PocketName;
  readonly falls: boolean;
  /** Metres by which the cue ball's way into the pocket would have to lie to the side for the other outcome. */
  readonly metres: number;
}

/** A way farther off than this from a pocket's drop has nothing to do with it, metres. */
const NEAR = 0.2;
/** The way is moved to the side where it comes within this of the drop, metres. */
const BEFORE = 0.3;
/** By so much at most: a margin of this is at least as much, metres. */
export const FARTHEST = 0.15;
const STEP = 0.004;
const EXACT = 1e-4;

/** The last piece of way that begins before a time. */
function pieceBefore(pieces: readonly PathPiece[], t: number): PathPiece | undefined {
  return pieces.findLast((piece) => piece.t <= t && (piece.vx !== 0 || piece.vy !== 0));
}

/**
 * The pocket to which the cue ball comes nearest after its hit, whether it falls, and how far its way would have to lie
 * to the side, either way, for the opposite. The last stretch of the way is played again moved sideways, its spin taken
 * as that of a rolling ball: exact for a cue ball that rolls by then.
 * @returns undefined when the cue ball comes near no pocket
 */
export function inOffMargin(shot: Shot): InOffMargin | undefined {
  const result = simulate(shot, { paths: true });
  const cue = shot.balls.find(({ id }) => id === shot.strike.ball);
  const path = result.paths?.find(({ id }) => id === shot.strike.ball);
  const hit = result.events.find(({ kind }) => kind === 'ball-ball')?.t;
  if (cue === undefined || path === undefined || hit === undefined) return undefined;
  const into = fallOf(result, cue.id);
  const end = into?.t ?? result.duration;
  const near = shot.table.pockets
    .map((pocket) => ({ pocket, ...nearestApproach(path, hit, end, pocket.drop) }))
    .sort((a, b) => a.metres - b.metres)
    .find(({ pocket }) => into === undefined || pocket.name === into.pocket);
  if (near === undefined || (into === undefined && near.metres - near.pocket.radius > NEAR)) return undefined;
  const { pocket, t } = near;
  const piece = pieceBefore(path.pieces, Math.max(hit, t - 1e-9));
  if (piece === undefined) return undefined;
  const start = approach(piece, t, pocket.drop);
  const speed = Math.hypot(start.vx, start.vy);
  const [nx, ny] = [-start.vy / speed, start.vx / speed];
  const falls = (aside: number): boolean => {
    const ball: BallMotion = {
      ...cue,
      x: start.x + aside * nx,
      y: start.y + aside * ny,
      vx: start.vx,
      vy: start.vy,
      wx: -start.vy / cue.radius,
      wy: start.vx / cue.radius,
      wz: 0,
    };
    return simulateMotion(shot.table, [ball], { events: false }).rest[0]?.pocket === pocket.name;
  };
  const now = into !== undefined;
  // A way that hangs on its spin cannot be moved like this: nothing is left of the margin.
  const metres = falls(0) === now ? leastChange(falls, now) : 0;
  return { pocket: pocket.name, falls: now, metres };
}

function fallOf(
  result: ShotResult,
  id: string,
): { readonly t: number; readonly pocket: PocketName } | undefined {
  const fall = result.events.find((event) => event.kind === 'pocket' && event.id === id);
  return fall?.kind === 'pocket' ? fall : undefined;
}

/** Place and velocity of a ball on the last stretch before a moment, where it is still `BEFORE` away from the drop. */
function approach(piece: PathPiece, until: number, drop: { readonly x: number; readonly y: number }) {
  const at = (tau: number) => ({
    x: piece.x + (piece.vx + 0.5 * piece.ax * tau) * tau,
    y: piece.y + (piece.vy + 0.5 * piece.ay * tau) * tau,
    vx: piece.vx + piece.ax * tau,
    vy: piece.vy + piece.ay * tau,
  });
  let low = 0;
  let high = Math.max(0, until - piece.t);
  if (distance(at(0), drop) <= BEFORE) return at(0);
  while (high - low > 1e-6) {
    const middle = 0.5 * (low + high);
    if (distance(at(middle), drop) > BEFORE) low = middle;
    else high = middle;
  }
  return at(low);
}

/** The smallest shift, to either side, at which the outcome is no longer the one at hand, metres. */
function leastChange(falls: (aside: number) => boolean, now: boolean): number {
  for (let aside = STEP; aside <= FARTHEST; aside += STEP) {
    for (const side of [1, -1]) {
      if (falls(side * aside) === now) continue;
      let [same, other] = [aside - STEP, aside];
      while (other - same > EXACT) {
        const middle = 0.5 * (same + other);
        if (falls(side * middle) === now) same = middle;
        else other = middle;
      }
      return 0.5 * (same + other);
    }
  }
  return FARTHEST;
}
