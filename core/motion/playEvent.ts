import type { CushionPiece } from '../table/cushions.ts';
import { collideBalls } from './ballBall.ts';
import { advance, endPhase, enterPhase } from './cloth.ts';
import { isShared, runContactPhase } from './contactPhase.ts';
import { reboundClosedForm } from './cushionClosedForm.ts';
import { note, Note, Own, type Engine } from './engine.ts';
import { boxSweep, predictMeetings } from './meetings.ts';
import { predictOwn } from './ownEvents.ts';
import { recordPath } from './result.ts';
import { Phase } from './state.ts';

/**
 * Plays the next event of the engine's balls.
 * @param shared whether a blow that reaches several balls is integrated as one
 * @param untilMeeting whether it ends just before two balls meet
 * @returns false when nothing happens any more
 */
export function playNext(e: Engine, shared: boolean, untilMeeting: boolean): boolean {
  const { own, meet } = e;
  const count = e.s.count;
  let time = Infinity;
  let first = -1;
  let meets = false;
  for (let i = 0; i < count; i++) {
    const alone = own[i]!;
    const together = meet[i]!;
    if (alone < time) {
      time = alone;
      first = i;
      meets = false;
    }
    if (together < time) {
      time = together;
      first = i;
      meets = true;
    }
  }
  if (first < 0) return false;
  e.now = time;
  const second = meets ? e.mate[first]! : -1;
  if (second < 0) playOwn(e, first);
  else if (e.mateVersion[first] === e.version[second]) {
    if (untilMeeting) {
      comeTogether(e, Math.min(first, second), Math.max(first, second));
      return false;
    }
    playMeeting(e, first, second, shared);
  }
  // The other ball has changed since: who is met next is asked again now that it is due.
  else predictMeetings(e, first);
  return true;
}

/** Two balls where they meet, before the blow. */
function comeTogether(e: Engine, i: number, j: number): void {
  advance(e.s, i, e.now, e.table.parameters);
  advance(e.s, j, e.now, e.table.parameters);
  note(e, Note.BallBall, i, j);
}

function playMeeting(e: Engine, first: number, second: number, shared: boolean): void {
  const { s } = e;
  const p = e.table.parameters;
  const i = Math.min(first, second);
  const j = Math.max(first, second);
  comeTogether(e, i, j);
  if (shared && isShared(e, i, j)) {
    const changed = runContactPhase(e, i, j);
    for (const k of changed) renew(e, k);
    for (const k of changed) predictMeetings(e, k);
    return;
  }
  collideBalls(s, i, j, p);
  enterPhase(s, i, p);
  enterPhase(s, j, p);
  renew(e, i);
  renew(e, j);
  predictMeetings(e, i);
  predictMeetings(e, j);
}

/** A ball's motion has changed: what was predicted for it no longer holds. */
function renew(e: Engine, i: number): void {
  e.version[i] = e.version[i]! + 1;
  if (e.s.phase[i] === Phase.Flying) note(e, Note.Hop, i, -1);
  predictOwn(e, i);
  boxSweep(e, i);
  recordPath(e, i);
}

function playOwn(e: Engine, i: number): void {
  const { s } = e;
  const kind = e.ownKind[i]!;
  advance(s, i, e.now, e.table.parameters);
  if (kind === Own.Phase) playPhaseEnd(e, i);
  else if (kind === Own.Cushion) playCushion(e, i, e.table.pieces[e.ownDetail[i]!]!);
  else if (kind === Own.Pocket) takeOff(e, i, e.ownDetail[i]!);
  else takeOff(e, i, -1);
  renew(e, i);
  predictMeetings(e, i);
}

function playPhaseEnd(e: Engine, i: number): void {
  const { s, table } = e;
  const was = s.phase[i]!;
  if (was === Phase.Flying) {
    const over = table.pockets.findIndex(
      ({ drop, radius }) => (s.x[i]! - drop.x) ** 2 + (s.y[i]! - drop.y) ** 2 < radius * radius,
    );
    const outside = s.x[i]! < 0 || s.x[i]! > table.length || s.y[i]! < 0 || s.y[i]! > table.width;
    if (table.pieces.length > 0 && (over >= 0 || outside)) {
      takeOff(e, i, over);
      return;
    }
    note(e, Note.Bounce, i, -1);
  }
  endPhase(s, i, table.parameters);
  const phase = s.phase[i]!;
  if (phase === Phase.Rolling) note(e, Note.Rolling, i, -1);
  else if (phase <= Phase.Spinning && was !== Phase.Spinning) note(e, Note.Rest, i, -1);
}

/** The ball is on the table no more. @param pocket where it fell, or −1 when it left through the air */
function takeOff(e: Engine, i: number, pocket: number): void {
  const { s } = e;
  s.vx[i] = 0;
  s.vy[i] = 0;
  s.vz[i] = 0;
  s.ax[i] = 0;
  s.ay[i] = 0;
  s.phase[i] = pocket < 0 ? Phase.OffTable : Phase.Potted;
  s.phaseEnd[i] = Infinity;
  e.pocketOf[i] = pocket;
  note(e, pocket < 0 ? Note.OffTable : Note.Pocket, i, pocket);
}

function playCushion(e: Engine, i: number, piece: CushionPiece): void {
  const { s } = e;
  const p = e.table.parameters;
  let nx: number;
  let ny: number;
  if (piece.kind === 'line') {
    nx = -piece.normal.x;
    ny = -piece.normal.y;
    // Rounding leaves a ball some 1e-16 m off the nose; set exactly on it, it cannot creep through.
    const off = (piece.from.x - s.x[i]!) * nx + (piece.from.y - s.y[i]!) * ny - s.reach[i]!;
    s.x[i] = s.x[i]! + off * nx;
    s.y[i] = s.y[i]! + off * ny;
  } else {
    const dx = piece.centre.x - s.x[i]!;
    const dy = piece.centre.y - s.y[i]!;
    const apart = Math.sqrt(dx * dx + dy * dy);
    nx = dx / apart;
    ny = dy / apart;
  }
  note(e, Note.BallCushion, i, e.ownDetail[i]!);
  if (s.phase[i] === Phase.Flying) reboundInFlight(e, i, nx, ny);
  else e.cushion.rebound(s, i, nx, ny);
  enterPhase(s, i, p);
}

/** In the air there is no cloth to press against: one rigid impulse at the nose. */
function reboundInFlight(e: Engine, i: number, nx: number, ny: number): void {
  const { s } = e;
  const p = e.table.parameters;
  const motion = {
    vx: s.vx[i]!,
    vy: s.vy[i]!,
    vz: s.vz[i]!,
    wx: s.wx[i]!,
    wy: s.wy[i]!,
    wz: s.wz[i]!,
  };
  const rise = Math.min(0.9, Math.max(-0.9, (p.noseHeight - s.z[i]!) / s.radius[i]!));
  if (!reboundClosedForm(motion, s.radius[i]!, nx, ny, rise, p)) {
    // Skimming down along the rubber it still may not go through it.
    const closing = motion.vx * nx + motion.vy * ny;
    motion.vx -= Math.max(0, closing) * nx;
    motion.vy -= Math.max(0, closing) * ny;
  }
  s.vx[i] = motion.vx;
  s.vy[i] = motion.vy;
  s.vz[i] = motion.vz;
  s.wx[i] = motion.wx;
  s.wy[i] = motion.wy;
  s.wz[i] = motion.wz;
}
