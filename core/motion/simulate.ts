import type { CushionPiece } from '../table/cushions.ts';
import type { Table } from '../table/table.ts';
import { collideBalls } from './ballBall.ts';
import { advance, endPhase, enterPhase, settleOnBed } from './cloth.ts';
import { isShared, runContactPhase } from './contactPhase.ts';
import { engineFor, EVENT_CAP, note, Note, Own, type Engine } from './engine.ts';
import { predictMeetings } from './meetings.ts';
import { reboundClosedForm } from './cushionClosedForm.ts';
import { predictOwn } from './ownEvents.ts';
import { recordPath, resultOf } from './result.ts';
import type { BallMotion, Shot, ShotResult, SimulateOptions } from './shot.ts';
import { Phase, placeBall } from './state.ts';
import { strikeBall } from './strike.ts';
import { checkShot } from './validate.ts';

/** Raised whenever the simulator's answers change, so that what was computed with an older one is not reused. */
export const MODEL_VERSION = 'full-1';

/**
 * Plays a shot: from the strike until every ball lies still.
 *
 * Event-driven: between events each ball moves in closed form, and the next event is found by solving for its
 * time, never by stepping; only a blow that several balls share is integrated. A pure function: the same shot gives
 * the same bits everywhere, whatever the order of its balls.
 * @throws InvalidShotError when the shot cannot be played (see checkShot)
 */
export function simulate(shot: Shot, options: SimulateOptions = {}): ShotResult {
  checkShot(shot);
  const { endMass } = shot.table.parameters;
  const motions = shot.balls.map((ball) =>
    ball.id === shot.strike.ball ? strikeBall(ball, shot.strike, endMass) : atRest(ball),
  );
  return simulateMotion(shot.table, motions, options);
}

function atRest(ball: Shot['balls'][number]): BallMotion {
  return {
    id: ball.id,
    x: ball.x,
    y: ball.y,
    radius: ball.radius,
    mass: ball.mass,
    vx: 0,
    vy: 0,
    wx: 0,
    wy: 0,
    wz: 0,
  };
}

/**
 * Follows balls that are already in motion until all lie still, on the same terms as `simulate`; nothing is
 * checked.
 */
export function simulateMotion(
  table: Table,
  balls: readonly BallMotion[],
  options: SimulateOptions = {},
): ShotResult {
  const e = engineFor(table, balls.length);
  begin(e, balls, options.paths === true);
  const awaited = options.untilSettled === undefined ? -1 : e.s.ids.indexOf(options.untilSettled);
  const shared = options.contactPhase ?? true;
  while (e.notes < EVENT_CAP && !hasSettled(e, awaited)) {
    if (!playNext(e, shared)) break;
  }
  return resultOf(e, balls, e.notes < EVENT_CAP);
}

/**
 * Gives the balls their slots in the order of their places, so that what happens at the same moment is taken in an
 * order that does not hang on the input's.
 */
function takeSlots({ slot }: Engine, balls: readonly BallMotion[]): void {
  for (let i = 0; i < balls.length; i++) {
    const { x, y } = balls[i]!;
    let before = 0;
    for (let j = 0; j < balls.length; j++) {
      const other = balls[j]!;
      if (other.x < x || (other.x === x && (other.y < y || (other.y === y && j < i)))) before++;
    }
    slot[i] = before;
  }
}

function begin(e: Engine, balls: readonly BallMotion[], paths: boolean): void {
  const { s } = e;
  const p = e.table.parameters;
  const n = balls.length;
  s.count = n;
  s.ids.length = n;
  e.now = 0;
  e.notes = 0;
  e.paths = paths ? balls.map(() => []) : undefined;
  takeSlots(e, balls);
  for (let k = 0; k < n; k++) placeBall(s, e.slot[k]!, balls[k]!, p);
  for (let i = 0; i < n; i++) {
    e.version[i] = 0;
    e.pocketOf[i] = -1;
    e.meet[i] = Infinity;
    e.mate[i] = -1;
    settleOnBed(s, i, p);
    enterPhase(s, i, p);
    if (s.phase[i] === Phase.Flying) note(e, Note.Hop, i, -1);
    predictOwn(e, i);
    recordPath(e, i);
  }
  for (let i = 0; i < n; i++) if (s.phase[i]! > Phase.Spinning) predictMeetings(e, i);
}

/** Whether the awaited ball has come to its end, after something has moved it. */
function hasSettled(e: Engine, awaited: number): boolean {
  if (awaited < 0 || e.version[awaited] === 0) return false;
  const phase = e.s.phase[awaited]!;
  return phase <= Phase.Spinning || phase >= Phase.Potted;
}

/** Plays the next event; false when there is none. */
function playNext(e: Engine, shared: boolean): boolean {
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
  else if (e.mateVersion[first] === e.version[second]) playMeeting(e, first, second, shared);
  // The other ball has changed since: who is met next is asked again now that it is due.
  else predictMeetings(e, first);
  return true;
}

function playMeeting(e: Engine, first: number, second: number, shared: boolean): void {
  const { s } = e;
  const p = e.table.parameters;
  const i = Math.min(first, second);
  const j = Math.max(first, second);
  advance(s, i, e.now, p);
  advance(s, j, e.now, p);
  note(e, Note.BallBall, i, j);
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
