import { createRootScratch, firstContact } from '../math/roots.ts';
import type { CushionPiece } from '../table/cushions.ts';
import type { Table } from '../table/table.ts';
import { contactDistance } from './ballBall.ts';
import { noseDistance } from './ballCushion.ts';
import { Phase, type BallsState } from './state.ts';

/** Gap below which bodies count as in touch, metres: rounding of a place, far below what can be seen. */
const TOUCHING = 1e-9;
/** Closing speed below which a touch is no collision, m/s: it could not move a ball by a micrometre. */
const SLOWEST = 1e-4;

export type SelfEvent =
  | { readonly kind: 'phase' }
  | { readonly kind: 'cushion'; readonly piece: CushionPiece }
  | { readonly kind: 'pocket'; readonly index: number };

export interface SelfPrediction {
  readonly time: number;
  readonly event: SelfEvent;
}

const PHASE_ENDS: SelfEvent = { kind: 'phase' };

/** Smallest and largest value of p + v·t + a·t²/2 on [0, end]. */
function rangeOf(p: number, v: number, a: number, end: number): readonly [number, number] {
  const last = p + (v + 0.5 * a * end) * end;
  let low = Math.min(p, last);
  let high = Math.max(p, last);
  const turn = a === 0 ? -1 : -v / a;
  if (turn > 0 && turn < end) {
    const extreme = p + 0.5 * v * turn;
    low = Math.min(low, extreme);
    high = Math.max(high, extreme);
  }
  return [low, high];
}

/** Predicts events from the closed-form motion of the balls. Owns its scratch space, so one a shot. */
export interface Predictor {
  /** What happens next to ball i by itself: end of its phase, a cushion, a pocket. Call at the ball's own time. */
  self(i: number): SelfPrediction;
  /** When balls i and j meet next, at or after t and not after `until`; Infinity if they do not. */
  pair(i: number, j: number, t: number, until: number): number;
}

export function createPredictor(table: Table, s: BallsState): Predictor {
  const c = new Float64Array(5);
  const scratch = createRootScratch();
  const bounded = table.pieces.length > 0;
  // Nothing can be met while a ball's centre stays this far inside the noses.
  const clear = Math.max(
    ...s.radius,
    ...table.pockets.map((pocket) => {
      const insideX = Math.min(pocket.drop.x, table.length - pocket.drop.x) + pocket.radius;
      const insideY = Math.min(pocket.drop.y, table.width - pocket.drop.y) + pocket.radius;
      return Math.min(Math.abs(insideX), Math.abs(insideY));
    }),
  );

  function squaredGap(
    px: number,
    py: number,
    vx: number,
    vy: number,
    ax: number,
    ay: number,
    d: number,
  ): void {
    c[0] = px * px + py * py - d * d;
    c[1] = 2 * (px * vx + py * vy);
    c[2] = vx * vx + vy * vy + px * ax + py * ay;
    c[3] = vx * ax + vy * ay;
    c[4] = 0.25 * (ax * ax + ay * ay);
  }

  function circle(i: number, cx: number, cy: number, reach: number, end: number): number {
    squaredGap(s.x[i]! - cx, s.y[i]! - cy, s.vx[i]!, s.vy[i]!, s.ax[i]!, s.ay[i]!, reach);
    return firstContact(c, end, 2 * reach * TOUCHING, 2 * reach * SLOWEST, scratch);
  }

  function line(
    i: number,
    piece: Extract<CushionPiece, { kind: 'line' }>,
    reach: number,
    end: number,
  ): number {
    const { from, to, normal } = piece;
    c[0] = (s.x[i]! - from.x) * normal.x + (s.y[i]! - from.y) * normal.y - reach;
    c[1] = s.vx[i]! * normal.x + s.vy[i]! * normal.y;
    c[2] = 0.5 * (s.ax[i]! * normal.x + s.ay[i]! * normal.y);
    c[3] = 0;
    c[4] = 0;
    const t = firstContact(c, end, TOUCHING, SLOWEST, scratch);
    if (t > end) return Infinity;
    const x = s.x[i]! + (s.vx[i]! + 0.5 * s.ax[i]! * t) * t;
    const y = s.y[i]! + (s.vy[i]! + 0.5 * s.ay[i]! * t) * t;
    const dx = to.x - from.x;
    const dy = to.y - from.y;
    const along = (x - from.x) * dx + (y - from.y) * dy;
    return along >= 0 && along <= dx * dx + dy * dy ? t : Infinity;
  }

  function meetsBox(
    [lowX, highX]: readonly [number, number],
    [lowY, highY]: readonly [number, number],
    piece: CushionPiece,
    reach: number,
  ): boolean {
    if (piece.kind === 'arc') {
      const r = piece.radius + reach;
      const { x, y } = piece.centre;
      return highX >= x - r && lowX <= x + r && highY >= y - r && lowY <= y + r;
    }
    const { from, to } = piece;
    return (
      highX >= Math.min(from.x, to.x) - reach &&
      lowX <= Math.max(from.x, to.x) + reach &&
      highY >= Math.min(from.y, to.y) - reach &&
      lowY <= Math.max(from.y, to.y) + reach
    );
  }

  return {
    self(i) {
      let time = s.phaseEnd[i]!;
      let event = PHASE_ENDS;
      const phase = s.phase[i];
      if (!bounded || (phase !== Phase.Rolling && phase !== Phase.Sliding)) return { time, event };
      let end = time - s.t0[i]!;
      const rangeX = rangeOf(s.x[i]!, s.vx[i]!, s.ax[i]!, end);
      const rangeY = rangeOf(s.y[i]!, s.vy[i]!, s.ay[i]!, end);
      if (
        rangeX[0] > clear &&
        rangeX[1] < table.length - clear &&
        rangeY[0] > clear &&
        rangeY[1] < table.width - clear
      ) {
        return { time, event };
      }
      const reach = noseDistance(s.radius[i]!, table.parameters.noseHeight);
      for (const piece of table.pieces) {
        if (!meetsBox(rangeX, rangeY, piece, reach)) continue;
        const t =
          piece.kind === 'line'
            ? line(i, piece, reach, end)
            : circle(i, piece.centre.x, piece.centre.y, piece.radius + reach, end);
        if (t < end) {
          end = t;
          time = s.t0[i]! + t;
          event = { kind: 'cushion', piece };
        }
      }
      for (const [index, pocket] of table.pockets.entries()) {
        const t = circle(i, pocket.drop.x, pocket.drop.y, pocket.radius, end);
        if (t < end) {
          end = t;
          time = s.t0[i]! + t;
          event = { kind: 'pocket', index };
        }
      }
      return { time, event };
    },

    pair(i, j, t, until) {
      if (until <= t) return Infinity;
      const ti = t - s.t0[i]!;
      const tj = t - s.t0[j]!;
      const px =
        s.x[i]! + (s.vx[i]! + 0.5 * s.ax[i]! * ti) * ti - s.x[j]! - (s.vx[j]! + 0.5 * s.ax[j]! * tj) * tj;
      const py =
        s.y[i]! + (s.vy[i]! + 0.5 * s.ay[i]! * ti) * ti - s.y[j]! - (s.vy[j]! + 0.5 * s.ay[j]! * tj) * tj;
      const vx = s.vx[i]! + s.ax[i]! * ti - s.vx[j]! - s.ax[j]! * tj;
      const vy = s.vy[i]! + s.ay[i]! * ti - s.vy[j]! - s.ay[j]! * tj;
      const ax = s.ax[i]! - s.ax[j]!;
      const ay = s.ay[i]! - s.ay[j]!;
      const reach = contactDistance(s.radius[i]!, s.radius[j]!);
      const end = until - t;
      const way = (Math.sqrt(vx * vx + vy * vy) + 0.5 * Math.sqrt(ax * ax + ay * ay) * end) * end;
      const apart = reach + TOUCHING + way;
      if (px * px + py * py > apart * apart) return Infinity;
      squaredGap(px, py, vx, vy, ax, ay, reach);
      return t + firstContact(c, end, 2 * reach * TOUCHING, 2 * reach * SLOWEST, scratch);
    },
  };
}
