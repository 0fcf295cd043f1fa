import type { Point } from '../math/point.ts';
import { contactDistance } from './ballBall.ts';
import { advance, enterPhase, settleOnBed } from './cloth.ts';
import { note, Note, type Engine } from './engine.ts';
import { beginContacts, partMembers, readMembers, stepContacts, writeMembers } from './contactPairs.ts';
import { contactDuration, hertzStiffness } from './hertz.ts';
import { pressWatch } from './pressWatch.ts';
import { rubOnCloth } from './contactCloth.ts';
import { Phase } from './state.ts';

/**
 * Balls that touch each other, or nearly so, when one of them is hit: the blow runs through several contacts at once,
 * and gaps of a tenth of a millimetre decide where it goes. While any such contact lasts, all of them are integrated
 * together as damped Hertz contacts with friction; then the balls go back to the events.
 */

/** Step of the integration for a few balls and for a pack, seconds: a contact lasts some 300 microseconds. */
const FINE_STEP = 5e-7;
const STEP = 2.5e-6;
/** Up to so many balls are stepped finely. */
const FEW = 8;
/** Balls farther apart than this cannot meet during the phase, metres. */
const NEAR = 0.03;
/** A blow slower than this passes through one contact after the other, m/s. */
const LEAST_BLOW = 0.01;
/** Cloth and cushions are let act every so many steps; with no cushion near, the cloth alone has time. */
const SLOW_STEPS = 8;
const SLOW_STEPS_IN_THE_OPEN = 16;
/** A pack is apart after two or three milliseconds; longer presses are left to the events. */
const MOST_STEPS = 12_000;

/** Whether a blow between i and j, both at the present time, reaches a third ball while it lasts. */
export function isShared(e: Engine, i: number, j: number): boolean {
  const { s, now } = e;
  const dx = s.x[j]! - s.x[i]!;
  const dy = s.y[j]! - s.y[i]!;
  const closing = ((s.vx[i]! - s.vx[j]!) * dx + (s.vy[i]! - s.vy[j]!) * dy) / Math.sqrt(dx * dx + dy * dy);
  if (closing < LEAST_BLOW || s.phase[i] === Phase.Flying || s.phase[j] === Phase.Flying) return false;
  const effective = 1 / (1 / s.mass[i]! + 1 / s.mass[j]!);
  const stiffness = hertzStiffness(s.radius[i]!, s.radius[j]!);
  const within = closing * contactDuration(closing, effective, stiffness);
  const { x, y, phase, radius } = s;
  const ix = x[i]!;
  const iy = y[i]!;
  const jx = x[j]!;
  const jy = y[j]!;
  // The larger of the two balls decides for both: a phase more costs time, not truth.
  const reach = Math.max(radius[i]!, radius[j]!) + within;
  for (let k = 0; k < s.count; k++) {
    const other = phase[k]!;
    if (k === i || k === j || other >= Phase.Flying) continue;
    let kx = x[k]!;
    let ky = y[k]!;
    if (other > Phase.Spinning) {
      const dt = now - s.t0[k]!;
      kx += (s.vx[k]! + 0.5 * s.ax[k]! * dt) * dt;
      ky += (s.vy[k]! + 0.5 * s.ay[k]! * dt) * dt;
    }
    const limitSq = (reach + radius[k]!) * (reach + radius[k]!);
    if ((kx - ix) * (kx - ix) + (ky - iy) * (ky - iy) < limitSq) return true;
    if ((kx - jx) * (kx - jx) + (ky - jy) * (ky - jy) < limitSq) return true;
  }
  return false;
}

/** The balls that may take part: from i and j on, everything within reach, brought to the present time. */
function gather(e: Engine, i: number, j: number): number[] {
  const { s, now } = e;
  const members = [i, j];
  const open = new Set<number>();
  for (let k = 0; k < s.count; k++) {
    if (k !== i && k !== j && s.phase[k]! < Phase.Flying) open.add(k);
  }
  for (const member of members) {
    for (const k of open) {
      const dt = now - s.t0[k]!;
      const x = s.x[k]! + (s.vx[k]! + 0.5 * s.ax[k]! * dt) * dt;
      const y = s.y[k]! + (s.vy[k]! + 0.5 * s.ay[k]! * dt) * dt;
      const dx = x - s.x[member]!;
      const dy = y - s.y[member]!;
      const limit = contactDistance(s.radius[k]!, s.radius[member]!) + NEAR;
      if (dx * dx + dy * dy > limit * limit) continue;
      if (s.t0[k]! < now) advance(s, k, now, e.table.parameters);
      members.push(k);
      open.delete(k);
    }
  }
  return members.sort((a, b) => a - b);
}

/**
 * Runs the contact phase that begins with the blow between i and j.
 * @returns the balls whose motion it changed or looked at; all stand at e.now, which has moved on
 */
export function runContactPhase(e: Engine, i: number, j: number): readonly number[] {
  const members = gather(e, i, j);
  const { s } = e;
  const p = e.table.parameters;
  const dt = members.length <= FEW ? FINE_STEP : STEP;
  beginContacts(e, members, NEAR, dt, i, j);
  const edge = members.filter((k) => nearCushion(e, k));
  const slowSteps = edge.length === 0 && dt === STEP ? SLOW_STEPS_IN_THE_OPEN : SLOW_STEPS;
  let recorded = e.now;
  let from = members.map((k) => ({ x: s.x[k]!, y: s.y[k]! }));
  const record = () => {
    if (e.paths !== undefined) recordChords(e, members, from, recorded);
    recorded = e.now;
    from = members.map((k) => ({ x: s.x[k]!, y: s.y[k]! }));
  };
  const watch = e.presses && pressWatch(e.presses, members);
  readMembers(s, members, dt);
  for (let step = 0, busy = true; busy && step < MOST_STEPS;) {
    busy = false;
    for (let k = 0; k < slowSteps; k++) {
      if (stepContacts(e, members, step++, dt)) busy = true;
      watch?.(e.now + k * dt);
    }
    e.now += slowSteps * dt;
    writeMembers(s, members, dt);
    for (const k of edge) reboundIfThrough(e, k);
    for (const k of members) rubOnCloth(s, k, slowSteps * dt, p);
    readMembers(s, members, dt);
    if (watch !== undefined && busy) record();
  }
  partMembers(s, members);
  record();
  members.forEach((k) => {
    s.t0[k] = e.now;
    settleOnBed(s, k, p);
    enterPhase(s, k, p);
  });
  return members;
}

/** Adds the way that members went in a straight line since a time to their paths. @param from where they were then */
function recordChords(e: Engine, members: readonly number[], from: readonly Point[], since: number): void {
  const { s } = e;
  const took = e.now - since;
  if (took <= 0) return;
  members.forEach((k, m) => {
    const { x, y } = from[m]!;
    e.paths?.[k]?.push({
      t: since,
      x,
      y,
      vx: (s.x[k]! - x) / took,
      vy: (s.y[k]! - y) / took,
      ax: 0,
      ay: 0,
    });
  });
}

function nearCushion(e: Engine, k: number): boolean {
  const { s, table } = e;
  const near = s.reach[k]! + NEAR;
  return (
    table.pieces.length > 0 &&
    (s.x[k]! < near || s.x[k]! > table.length - near || s.y[k]! < near || s.y[k]! > table.width - near)
  );
}

/** A ball that has come through a straight nose within the step is thrown back at once. */
function reboundIfThrough(e: Engine, k: number): void {
  const { s, table, ground } = e;
  for (const side of ground.sides) {
    const size = side.axis === 0 ? table.length : table.width;
    const place = side.axis === 0 ? s.x[k]! : s.y[k]!;
    if ((side.far ? size - place : place) >= s.reach[k]!) continue;
    const at = side.axis === 0 ? s.y[k]! : s.x[k]!;
    const span = side.spans.find(({ from, to }) => at >= from && at <= to);
    const sign = side.far ? 1 : -1;
    if (span === undefined) continue;
    if (e.cushion.rebound(s, k, side.axis === 0 ? sign : 0, side.axis === 0 ? 0 : sign)) {
      note(e, Note.BallCushion, k, span.piece);
    }
  }
}
