import { firstContact } from '../math/roots.ts';
import type { CushionPiece } from '../table/cushions.ts';
import { RAIL_DEPTH } from './ground.ts';
import { Own, type Engine } from './engine.ts';
import { Phase } from './state.ts';
import { SLOWEST, TOUCHING } from './touching.ts';

/**
 * The first time in (0, end] at which c0 + v·t + a·t²/2 falls to zero, for a ball that may already touch; written to
 * e.out[0], Infinity when it does not.
 */
function fallToZero(e: Engine, c0: number, v: number, a: number, end: number): void {
  let t = Infinity;
  if (c0 <= TOUCHING) {
    if (v < -SLOWEST) t = 0;
    // A slow press is let creep until it is fast enough to be a collision.
    else if (a < 0) t = (-Math.max(SLOWEST, v) - v) / a;
  } else if (a === 0) {
    if (v < 0) t = -c0 / v;
  } else {
    const root = v * v - 2 * a * c0;
    if (root >= 0) {
      if (v < 0) t = (2 * c0) / (-v + Math.sqrt(root));
      else if (a < 0) t = (v + Math.sqrt(root)) / -a;
    }
  }
  e.out[0] = t <= end ? t : Infinity;
}

/** When ball i's centre comes within `reach` of a fixed point, into e.out[0]. */
function circleContact(e: Engine, i: number, cx: number, cy: number, reach: number, end: number): void {
  const { s, c } = e;
  const px = s.x[i]! - cx;
  const py = s.y[i]! - cy;
  const vx = s.vx[i]!;
  const vy = s.vy[i]!;
  const ax = s.ax[i]!;
  const ay = s.ay[i]!;
  c[0] = px * px + py * py - reach * reach;
  c[1] = 2 * (px * vx + py * vy);
  c[2] = vx * vx + vy * vy + px * ax + py * ay;
  c[3] = vx * ax + vy * ay;
  c[4] = 0.25 * (ax * ax + ay * ay);
  e.out[0] = firstContact(c, end, 2 * reach * TOUCHING, 2 * reach * SLOWEST, e.roots);
}

function pieceContact(e: Engine, i: number, piece: CushionPiece, end: number): void {
  const { s } = e;
  const reach = s.reach[i]!;
  if (piece.kind === 'arc') {
    circleContact(e, i, piece.centre.x, piece.centre.y, piece.radius + reach, end);
    return;
  }
  const { from, to, normal } = piece;
  fallToZero(
    e,
    (s.x[i]! - from.x) * normal.x + (s.y[i]! - from.y) * normal.y - reach,
    s.vx[i]! * normal.x + s.vy[i]! * normal.y,
    s.ax[i]! * normal.x + s.ay[i]! * normal.y,
    end,
  );
  const t = e.out[0]!;
  if (t > end) return;
  const x = s.x[i]! + (s.vx[i]! + 0.5 * s.ax[i]! * t) * t;
  const y = s.y[i]! + (s.vy[i]! + 0.5 * s.ay[i]! * t) * t;
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  const along = (x - from.x) * dx + (y - from.y) * dy;
  if (along < 0 || along > dx * dx + dy * dy) e.out[0] = Infinity;
}

/** Every piece and pocket that the ball's box until `end` reaches; sets the ball's own event if one is earlier. */
function testAll(e: Engine, i: number, end: number): void {
  const { s, table, ground } = e;
  const vx = s.vx[i]!;
  const vy = s.vy[i]!;
  const wayX = Math.abs(vx) * end + 0.5 * Math.abs(s.ax[i]!) * end * end;
  const wayY = Math.abs(vy) * end + 0.5 * Math.abs(s.ay[i]!) * end * end;
  const reach = s.reach[i]!;
  const { boxes } = ground;
  let limit = end;
  for (let k = 0; k < table.pieces.length; k++) {
    if (
      s.x[i]! + wayX < boxes[4 * k]! - reach ||
      s.x[i]! - wayX > boxes[4 * k + 1]! + reach ||
      s.y[i]! + wayY < boxes[4 * k + 2]! - reach ||
      s.y[i]! - wayY > boxes[4 * k + 3]! + reach
    )
      continue;
    pieceContact(e, i, table.pieces[k]!, limit);
    const t = e.out[0]!;
    if (t < limit) {
      limit = t;
      e.own[i] = s.t0[i]! + t;
      e.ownKind[i] = Own.Cushion;
      e.ownDetail[i] = k;
    }
  }
  for (let k = 0; k < table.pockets.length; k++) {
    const { drop, radius } = table.pockets[k]!;
    const dx = Math.abs(s.x[i]! - drop.x) - radius;
    const dy = Math.abs(s.y[i]! - drop.y) - radius;
    if (dx > wayX || dy > wayY) continue;
    circleContact(e, i, drop.x, drop.y, radius, limit);
    const t = e.out[0]!;
    if (t < limit) {
      limit = t;
      e.own[i] = s.t0[i]! + t;
      e.ownKind[i] = Own.Pocket;
      e.ownDetail[i] = k;
    }
  }
}

/**
 * Predicts what ball i does next by itself: the end of its phase, a cushion, a pocket. Call at the ball's own time.
 *
 * A ball whose centre stays on the inner side of the lines at its reach from the noses meets nothing: jaws, facings
 * and drops all lie behind them. So the way out of that rectangle decides: through a straight nose it is that
 * cushion; through a mouth every piece is looked at.
 */
export function predictOwn(e: Engine, i: number): void {
  const { s, table, ground } = e;
  const phase = s.phase[i]!;
  const t0 = s.t0[i]!;
  e.own[i] = s.phaseEnd[i]!;
  e.ownKind[i] = Own.Phase;
  if (table.pieces.length === 0) return;
  if (phase !== Phase.Rolling && phase !== Phase.Sliding && phase !== Phase.Flying) return;
  const end = s.phaseEnd[i]! - t0;
  const reach = s.reach[i]!;
  let first = end;
  let exit = -1;
  for (let k = 0; k < 4; k++) {
    const along = k < 2;
    const size = along ? table.length : table.width;
    const p = along ? s.x[i]! : s.y[i]!;
    const v = along ? s.vx[i]! : s.vy[i]!;
    const a = along ? s.ax[i]! : s.ay[i]!;
    const far = (k & 1) === 1;
    const gap = far ? size - reach - p : p - reach;
    if (gap < -TOUCHING) {
      if (phase === Phase.Flying) flyPastNose(e, i, end);
      else testAll(e, i, end);
      return;
    }
    fallToZero(e, gap, far ? -v : v, far ? -a : a, first);
    if (e.out[0]! < first) {
      first = e.out[0]!;
      exit = k;
    }
  }
  if (exit < 0) return;
  if (phase === Phase.Flying) {
    flyPastNose(e, i, end);
    return;
  }
  const { spans } = ground.sides[exit]!;
  const at =
    exit < 2
      ? s.y[i]! + (s.vy[i]! + 0.5 * s.ay[i]! * first) * first
      : s.x[i]! + (s.vx[i]! + 0.5 * s.ax[i]! * first) * first;
  for (let k = 0; k < spans.length; k++) {
    const span = spans[k]!;
    if (at >= span.from && at <= span.to) {
      e.own[i] = t0 + first;
      e.ownKind[i] = Own.Cushion;
      e.ownDetail[i] = span.piece;
      return;
    }
  }
  testAll(e, i, end);
}

/** A flying ball is lower than this above the cloth when a nose or a jaw can stop it, in nose heights. */
const STOPPED_BELOW = 1.6;

/**
 * A flying ball on its way over a nose: low enough it rebounds where it touches, or falls into the pocket it is
 * over; else it leaves the table when it has passed the rail.
 */
function flyPastNose(e: Engine, i: number, end: number): void {
  const { s, table } = e;
  testAll(e, i, end);
  if (e.ownKind[i] !== Own.Phase) {
    const t = e.own[i]! - s.t0[i]!;
    const height = s.z[i]! + (s.vz[i]! - 0.5 * table.parameters.gravity * t) * t - s.radius[i]!;
    const limit = e.ownKind[i] === Own.Pocket ? 1 : STOPPED_BELOW;
    if (height < limit * table.parameters.noseHeight - (limit === 1 ? 0 : s.radius[i]!)) return;
    e.own[i] = s.phaseEnd[i]!;
    e.ownKind[i] = Own.Phase;
  }
  let first = end;
  for (let k = 0; k < 4; k++) {
    const along = k < 2;
    const p = along ? s.x[i]! : s.y[i]!;
    const v = along ? s.vx[i]! : s.vy[i]!;
    const far = (k & 1) === 1;
    const gap = far ? (along ? table.length : table.width) + RAIL_DEPTH - p : p + RAIL_DEPTH;
    fallToZero(e, gap, far ? -v : v, 0, first);
    if (e.out[0]! < first) {
      first = e.out[0]!;
      e.own[i] = s.t0[i]! + first;
      e.ownKind[i] = Own.OffTable;
      e.ownDetail[i] = -1;
    }
  }
}
