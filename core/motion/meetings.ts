import { firstContact } from '../math/roots.ts';
import { contactDistance } from './ballBall.ts';
import { type Engine } from './engine.ts';
import { Phase } from './state.ts';
import { SLOWEST, TOUCHING } from './touching.ts';

/** A ball that moves straight and slows down, against one at rest: needs a length, no quartic. Into e.out[0]. */
function straightOnRest(
  e: Engine,
  px: number,
  py: number,
  vx: number,
  vy: number,
  slowing: number,
  reach: number,
  end: number,
): void {
  e.out[0] = Infinity;
  const speed = Math.sqrt(vx * vx + vy * vy);
  const along = -(px * vx + py * vy) / speed;
  if (along <= 0) return;
  const asideSq = px * px + py * py - along * along;
  const inside = reach * reach - asideSq;
  if (inside <= 0) return;
  const way = along - Math.sqrt(inside);
  const root = speed * speed - 2 * slowing * way;
  if (root < 0) return;
  const t = (2 * way) / (speed + Math.sqrt(root));
  if (t <= end) e.out[0] = t;
}

/**
 * When balls i and j meet at or after now and not after `until`, seconds; Infinity if they do not. Into e.out[0].
 * The search ends at `until`, the earliest of what the two balls do otherwise: then they are looked at again.
 */
export function predictPair(e: Engine, i: number, j: number, until: number): void {
  const { s, c, out } = e;
  out[0] = Infinity;
  // A ball that comes out of a contact phase may be ahead of the clock.
  const from = Math.max(e.now, s.t0[i]!, s.t0[j]!);
  if (until < from) return;
  const ti = from - s.t0[i]!;
  const tj = from - s.t0[j]!;
  const aix = s.ax[i]!;
  const aiy = s.ay[i]!;
  const ajx = s.ax[j]!;
  const ajy = s.ay[j]!;
  const px = s.x[i]! + (s.vx[i]! + 0.5 * aix * ti) * ti - s.x[j]! - (s.vx[j]! + 0.5 * ajx * tj) * tj;
  const py = s.y[i]! + (s.vy[i]! + 0.5 * aiy * ti) * ti - s.y[j]! - (s.vy[j]! + 0.5 * ajy * tj) * tj;
  const vx = s.vx[i]! + aix * ti - s.vx[j]! - ajx * tj;
  const vy = s.vy[i]! + aiy * ti - s.vy[j]! - ajy * tj;
  const ax = aix - ajx;
  const ay = aiy - ajy;
  const flies = s.phase[i] === Phase.Flying || s.phase[j] === Phase.Flying;
  const reach = flies ? s.radius[i]! + s.radius[j]! : contactDistance(s.radius[i]!, s.radius[j]!);
  const end = until - from;
  const apartSq = px * px + py * py;
  const way = (Math.sqrt(vx * vx + vy * vy) + 0.5 * Math.sqrt(ax * ax + ay * ay) * end) * end;
  const furthest = reach + TOUCHING + way;
  if (apartSq > furthest * furthest) return;
  const gapSq = apartSq - reach * reach;
  if (!flies && gapSq > 2 * reach * TOUCHING) {
    const restI = s.phase[i]! <= Phase.Spinning;
    const restJ = s.phase[j]! <= Phase.Spinning;
    if ((restJ && s.phase[i] === Phase.Rolling) || (restI && s.phase[j] === Phase.Rolling)) {
      straightOnRest(e, px, py, vx, vy, Math.sqrt(ax * ax + ay * ay), reach, end);
      out[0] = from + out[0];
      return;
    }
  }
  c[0] = gapSq;
  c[1] = 2 * (px * vx + py * vy);
  c[2] = vx * vx + vy * vy + px * ax + py * ay;
  c[3] = vx * ax + vy * ay;
  c[4] = 0.25 * (ax * ax + ay * ay);
  if (flies) addHeights(e, i, j, ti, tj);
  out[0] = from + firstContact(c, end, 2 * reach * TOUCHING, 2 * reach * SLOWEST, e.roots);
}

/** Adds the square of the height between the two centres to the squared distance in e.c. */
function addHeights(e: Engine, i: number, j: number, ti: number, tj: number): void {
  const { s, c } = e;
  const g = e.table.parameters.gravity;
  const fallI = s.phase[i] === Phase.Flying ? g : 0;
  const fallJ = s.phase[j] === Phase.Flying ? g : 0;
  const pz = s.z[i]! + (s.vz[i]! - 0.5 * fallI * ti) * ti - s.z[j]! - (s.vz[j]! - 0.5 * fallJ * tj) * tj;
  const vz = s.vz[i]! - fallI * ti - s.vz[j]! + fallJ * tj;
  const az = fallJ - fallI;
  c[0] = c[0]! + pz * pz;
  c[1] = c[1]! + 2 * pz * vz;
  c[2] = c[2]! + vz * vz + pz * az;
  c[3] = c[3]! + vz * az;
  c[4] = c[4]! + 0.25 * az * az;
}

/** The stretch of cloth that a ball covers until its own next event: a chord and how far its way bends off it. */
interface Sweep {
  x: number;
  y: number;
  ux: number;
  uy: number;
  length: number;
  bend: number;
}

const sweep: Sweep = { x: 0, y: 0, ux: 1, uy: 0, length: 0, bend: 0 };

/** Works out the sweep of ball i from its own clock to its own next event. */
function sweepOf(e: Engine, i: number): void {
  const { s } = e;
  const t = e.own[i]! - s.t0[i]!;
  const dx = (s.vx[i]! + 0.5 * s.ax[i]! * t) * t;
  const dy = (s.vy[i]! + 0.5 * s.ay[i]! * t) * t;
  const length = Math.sqrt(dx * dx + dy * dy);
  sweep.x = s.x[i]!;
  sweep.y = s.y[i]!;
  sweep.length = length;
  sweep.ux = length > 0 ? dx / length : 1;
  sweep.uy = length > 0 ? dy / length : 0;
  // A parabola leaves its chord by a·t²/8 at most, sideways and lengthways.
  sweep.bend = 0.125 * Math.sqrt(s.ax[i]! * s.ax[i]! + s.ay[i]! * s.ay[i]!) * t * t;
}

/** Notes the box that ball i keeps inside until its own next event, with its radius and what counts as touching. */
export function boxSweep(e: Engine, i: number): void {
  const { s, boxes } = e;
  const margin = s.radius[i]! + TOUCHING;
  const x = s.x[i]!;
  const y = s.y[i]!;
  const at = 4 * i;
  boxes[at] = x - margin;
  boxes[at + 1] = x + margin;
  boxes[at + 2] = y - margin;
  boxes[at + 3] = y + margin;
  if (s.phase[i]! <= Phase.Spinning) return;
  const t = e.own[i]! - s.t0[i]!;
  const wayX = s.vx[i]! * t;
  const wayY = s.vy[i]! * t;
  const bendX = 0.5 * s.ax[i]! * t * t;
  const bendY = 0.5 * s.ay[i]! * t * t;
  // A parabola lies inside the triangle of its ends and the crossing of its end tangents: v·t/2 on from the start.
  boxes[at] = boxes[at] + Math.min(0, 0.5 * wayX, wayX + bendX);
  boxes[at + 1] = boxes[at + 1]! + Math.max(0, 0.5 * wayX, wayX + bendX);
  boxes[at + 2] = boxes[at + 2]! + Math.min(0, 0.5 * wayY, wayY + bendY);
  boxes[at + 3] = boxes[at + 3]! + Math.max(0, 0.5 * wayY, wayY + bendY);
}

/** Forgets ball i's next meeting and looks for it anew; the others hear of it when it is their next one too. */
export function predictMeetings(e: Engine, i: number): void {
  const { s } = e;
  e.meet[i] = Infinity;
  e.mate[i] = -1;
  const phase = s.phase[i]!;
  if (phase >= Phase.Potted) return;
  const still = phase <= Phase.Spinning;
  if (!still) sweepOf(e, i);
  const own = e.own[i]!;
  const { phase: phases, x, y, radius } = s;
  const { meet } = e;
  const count = s.count;
  const { x: fromX, y: fromY, ux, uy, length } = sweep;
  const mine = radius[i]! + TOUCHING + sweep.bend;
  const { boxes } = e;
  const lowX = boxes[4 * i]!;
  const highX = boxes[4 * i + 1]!;
  const lowY = boxes[4 * i + 2]!;
  const highY = boxes[4 * i + 3]!;
  for (let j = 0; j < count; j++) {
    const other = phases[j]!;
    if (other <= Phase.Spinning) {
      if (still) continue;
      // A ball at rest is met only near the sweep; two radii are never less than what touching balls are apart.
      const margin = mine + radius[j]!;
      const dx = x[j]! - fromX;
      const dy = y[j]! - fromY;
      const across = dx * uy - dy * ux;
      if (across > margin || across < -margin) continue;
      const along = dx * ux + dy * uy;
      if (along <= -margin || along >= length + margin) continue;
    } else {
      if (other >= Phase.Potted || j === i) continue;
      const at = 4 * j;
      if (boxes[at]! > highX || boxes[at + 1]! < lowX || boxes[at + 2]! > highY || boxes[at + 3]! < lowY)
        continue;
    }
    // Whoever meets another ball before, or does something alone, is asked again then: later is not of interest.
    const until = Math.min(own, e.own[j]!, meet[i]!, meet[j]!);
    predictPair(e, i < j ? i : j, i < j ? j : i, until);
    const t = e.out[0]!;
    if (t < e.meet[i]) {
      e.meet[i] = t;
      e.mate[i] = j;
      e.mateVersion[i] = e.version[j]!;
    }
    if (t < e.meet[j]!) {
      e.meet[j] = t;
      e.mate[j] = i;
      e.mateVersion[j] = e.version[i]!;
    }
  }
}
