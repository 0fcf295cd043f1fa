import type { MotionParameters } from '../table/parameters.ts';
import { ballFrictionAt, contactDistance } from './ballBall.ts';
import { note, Note, type Engine } from './engine.ts';
import { hertzDamping, hertzStiffness } from './hertz.ts';
import type { BallsState } from './state.ts';

/** Contacts that press with less than this and hardly move are left to the events, N and m/s. */
const QUIET_FORCE = 3;
const QUIET_SPEED = 2e-3;
/** No ball of a pack gets faster than the fastest at its beginning by more than this factor. */
const FASTER = 1.5;
/** Quantities of a ball that a contact changes: velocity and spin. */
const SIX = 6;

/** More balls than any game has, all touching. */
const MOST_MEMBERS = 64;
const MOST_PAIRS = (MOST_MEMBERS * (MOST_MEMBERS - 1)) / 2;

/*
 * The contacts between the members of a contact phase. Their numbers stand here, once for all phases, and not in an
 * object or a closure of each phase: the compiler then knows where they are, and the loops run five times as fast. A
 * phase is over before the next one begins.
 *
 * Leapfrog: places stand half a step ahead of the velocities, which keeps the energy; what depends on velocities takes
 * them carried on by half of the last change, which keeps the second order.
 */
/** Members of each pair, as places in `members`. */
const first = new Int32Array(MOST_PAIRS);
const second = new Int32Array(MOST_PAIRS);
const sum = new Float64Array(MOST_PAIRS);
const stiffness = new Float64Array(MOST_PAIRS);
const damping = new Float64Array(MOST_PAIRS);
const effective = new Float64Array(MOST_PAIRS);
const touched = new Uint8Array(MOST_PAIRS);
/** The step at which a pair can touch at the earliest. */
const due = new Int32Array(MOST_PAIRS);
const perMass = new Float64Array(MOST_MEMBERS);
/** What an impulse at the surface turns: 5/(2·m·R). */
const perTurn = new Float64Array(MOST_MEMBERS);
const radius = new Float64Array(MOST_MEMBERS);
const place = new Float64Array(3 * MOST_MEMBERS);
/** Velocities and spins, what a step changes of them, and their values in the middle of the next step. */
const speed = new Float64Array(SIX * MOST_MEMBERS);
const change = new Float64Array(SIX * MOST_MEMBERS);
const mid = new Float64Array(SIX * MOST_MEMBERS);
/** For how many more steps a ball's velocities change: in the one after its last press `mid` comes to them. */
const pressed = new Uint8Array(MOST_MEMBERS);

/** Friction by slip from 0 to FRICTION_UP_TO m/s, linear in between; exact to 10⁻⁷. */
const FRICTION_STRETCHES = 4096;
const FRICTION_UP_TO = 16;
const PER_STRETCH = FRICTION_STRETCHES / FRICTION_UP_TO;
const frictions = new Float64Array(FRICTION_STRETCHES + 2);
let frictionsOf = { a: NaN, b: NaN, c: NaN };

function tabulateFriction(p: MotionParameters): void {
  const { a, b, c } = p.ballFriction;
  if (frictionsOf.a === a && frictionsOf.b === b && frictionsOf.c === c) return;
  for (let k = 0; k < frictions.length; k++) frictions[k] = ballFrictionAt(k / PER_STRETCH, p);
  frictionsOf = { a, b, c };
}

function frictionAt(slip: number): number {
  const u = Math.min(FRICTION_STRETCHES, slip * PER_STRETCH);
  const k = Math.trunc(u);
  const low = frictions[k]!;
  return low + (u - k) * (frictions[k + 1]! - low);
}

let size = 0;
let pairs = 0;
/** All balls are of one size, and the bed takes every hop. */
let level = false;
/** Nearest that two balls can come within a step, metres. */
let closestStep = 0;

function gapBetween(s: BallsState, i: number, j: number): number {
  const dx = s.x[i]! - s.x[j]!;
  const dy = s.y[i]! - s.y[j]!;
  return Math.sqrt(dx * dx + dy * dy) - contactDistance(s.radius[i]!, s.radius[j]!);
}

/**
 * Takes up the members of a contact phase and their pairs.
 * @param members indices of the balls, all at the same time, ascending
 * @param near pairs farther apart than this do not meet during the phase, metres
 * @param dt step, seconds
 * @param hitter, hit the two whose blow begins it: their touch is noted already
 */
export function beginContacts(
  e: Engine,
  members: readonly number[],
  near: number,
  dt: number,
  hitter: number,
  hit: number,
): void {
  const { s } = e;
  const e0 = e.table.parameters.ballRestitution;
  size = members.length;
  if (size > MOST_MEMBERS)
    throw new RangeError(`beginContacts: at most ${MOST_MEMBERS} balls can touch at a time`);
  change.fill(0, 0, SIX * size);
  mid.fill(0, 0, SIX * size);
  speed.fill(0, 0, SIX * size);
  pressed.fill(2, 0, size);
  pairs = 0;
  level = e.table.parameters.bedRestitution === 0;
  let fastest = 0;
  for (let a = 0; a < size; a++) {
    const i = members[a]!;
    perMass[a] = 1 / s.mass[i]!;
    radius[a] = s.radius[i]!;
    if (radius[a] !== radius[0]) level = false;
    perTurn[a] = 2.5 / (s.mass[i]! * s.radius[i]!);
    fastest = Math.max(fastest, Math.sqrt(s.vx[i]! * s.vx[i]! + s.vy[i]! * s.vy[i]!));
    for (let b = a + 1; b < size; b++) {
      const j = members[b]!;
      if (gapBetween(s, i, j) > near) continue;
      first[pairs] = a;
      second[pairs] = b;
      touched[pairs] = (i === hitter && j === hit) || (i === hit && j === hitter) ? 1 : 0;
      due[pairs] = 0;
      sum[pairs] = s.radius[i]! + s.radius[j]!;
      stiffness[pairs] = hertzStiffness(s.radius[i]!, s.radius[j]!);
      effective[pairs] = 1 / (1 / s.mass[i]! + 1 / s.mass[j]!);
      damping[pairs] = hertzDamping(e0, effective[pairs]!, stiffness[pairs]!);
      pairs++;
    }
  }
  tabulateFriction(e.table.parameters);
  closestStep = 2 * FASTER * fastest * dt;
}

/** Takes over what has happened to the members since the last step. */
export function readMembers(s: BallsState, members: readonly number[], dt: number): void {
  for (let m = 0; m < size; m++) {
    const k = members[m]!;
    const at = SIX * m;
    const before = [speed[at]!, speed[at + 1]!, speed[at + 3]!, speed[at + 4]!, speed[at + 5]!];
    speed[at] = s.vx[k]!;
    speed[at + 1] = s.vy[k]!;
    speed[at + 2] = s.vz[k]!;
    speed[at + 3] = s.wx[k]!;
    speed[at + 4] = s.wy[k]!;
    speed[at + 5] = s.wz[k]!;
    // What the cloth or a cushion changed in between is no trend to be carried on.
    mid[at] = mid[at]! + speed[at] - before[0]!;
    mid[at + 1] = mid[at + 1]! + speed[at + 1]! - before[1]!;
    mid[at + 3] = mid[at + 3]! + speed[at + 3]! - before[2]!;
    mid[at + 4] = mid[at + 4]! + speed[at + 4]! - before[3]!;
    mid[at + 5] = mid[at + 5]! + speed[at + 5]! - before[4]!;
    place[3 * m] = s.x[k]! + 0.5 * dt * s.vx[k]!;
    place[3 * m + 1] = s.y[k]! + 0.5 * dt * s.vy[k]!;
    place[3 * m + 2] = s.z[k]!;
  }
}

/** Writes the members' places, velocities and spins back, as they are after the last step. */
export function writeMembers(s: BallsState, members: readonly number[], dt: number): void {
  for (let m = 0; m < size; m++) {
    const k = members[m]!;
    const at = SIX * m;
    s.x[k] = place[3 * m]! - 0.5 * dt * speed[at]!;
    s.y[k] = place[3 * m + 1]! - 0.5 * dt * speed[at + 1]!;
    s.vx[k] = speed[at]!;
    s.vy[k] = speed[at + 1]!;
    s.vz[k] = speed[at + 2]!;
    s.wx[k] = speed[at + 3]!;
    s.wy[k] = speed[at + 4]!;
    s.wz[k] = speed[at + 5]!;
  }
}

/** One step of all contacts; false when every contact is open or quiet. @param k number of the step */
export function stepContacts(e: Engine, members: readonly number[], k: number, dt: number): boolean {
  let busy = false;
  if (level) {
    for (let c = 0; c < pairs; c++) if (due[c]! <= k && pressLevel(e, members, c, k, dt)) busy = true;
  } else {
    for (let c = 0; c < pairs; c++) if (due[c]! <= k && press(e, members, c, k, dt)) busy = true;
  }
  kickAndDrift(e.table.parameters.bedRestitution === 0, dt);
  return busy;
}

/** Takes the step's changes into velocities and spins, and moves the places on to the middle of the next step. */
function kickAndDrift(flat: boolean, dt: number): void {
  const n = size;
  // Written out: the loop over six takes three times as long.
  for (let m = 0; m < n; m++) {
    const at = SIX * m;
    if (pressed[m] === 0) {
      place[3 * m] = place[3 * m]! + dt * speed[at]!;
      place[3 * m + 1] = place[3 * m + 1]! + dt * speed[at + 1]!;
      continue;
    }
    pressed[m] = pressed[m]! - 1;
    let by = change[at]!;
    let now = speed[at]! + by;
    speed[at] = now;
    mid[at] = now + 0.5 * by;
    change[at] = 0;
    place[3 * m] = place[3 * m]! + dt * now;
    by = change[at + 1]!;
    now = speed[at + 1]! + by;
    speed[at + 1] = now;
    mid[at + 1] = now + 0.5 * by;
    change[at + 1] = 0;
    place[3 * m + 1] = place[3 * m + 1]! + dt * now;
    if (!flat) {
      by = change[at + 2]!;
      now = speed[at + 2]! + by;
      speed[at + 2] = now;
      mid[at + 2] = now + 0.5 * by;
      change[at + 2] = 0;
    }
    by = change[at + 3]!;
    now = speed[at + 3]! + by;
    speed[at + 3] = now;
    mid[at + 3] = now + 0.5 * by;
    change[at + 3] = 0;
    by = change[at + 4]!;
    now = speed[at + 4]! + by;
    speed[at + 4] = now;
    mid[at + 4] = now + 0.5 * by;
    change[at + 4] = 0;
    by = change[at + 5]!;
    now = speed[at + 5]! + by;
    speed[at + 5] = now;
    mid[at + 5] = now + 0.5 * by;
    change[at + 5] = 0;
  }
}

/** One step of one contact, added to `change`; false when it is open, or presses quietly. */
function press(e: Engine, members: readonly number[], c: number, k: number, dt: number): boolean {
  const i = first[c]!;
  const j = second[c]!;
  const dx = place[3 * j]! - place[3 * i]!;
  const dy = place[3 * j + 1]! - place[3 * i + 1]!;
  const dz = place[3 * j + 2]! - place[3 * i + 2]!;
  const apart = Math.sqrt(dx * dx + dy * dy + dz * dz);
  const overlap = sum[c]! - apart;
  if (overlap <= 0) {
    open(c, k, overlap);
    return false;
  }
  if (touched[c] === 0) touch(e, members, c);
  const per = 1 / apart;
  const nx = dx * per;
  const ny = dy * per;
  const nz = dz * per;
  const a = SIX * i;
  const b = SIX * j;
  const ux = mid[a]! - mid[b]!;
  const uy = mid[a + 1]! - mid[b + 1]!;
  const uz = mid[a + 2]! - mid[b + 2]!;
  const closing = ux * nx + uy * ny + uz * nz;
  const root = Math.sqrt(overlap);
  const force = stiffness[c]! * overlap * root + damping[c]! * Math.sqrt(root) * closing;
  const ri = radius[i]!;
  const rj = radius[j]!;
  const wx = ri * mid[a + 3]! + rj * mid[b + 3]!;
  const wy = ri * mid[a + 4]! + rj * mid[b + 4]!;
  const wz = ri * mid[a + 5]! + rj * mid[b + 5]!;
  const tx = ux - closing * nx + wy * nz - wz * ny;
  const ty = uy - closing * ny + wz * nx - wx * nz;
  const tz = uz - closing * nz + wx * ny - wy * nx;
  const slip = Math.sqrt(tx * tx + ty * ty + tz * tz);
  const normal = force * dt;
  let rub = 0;
  if (slip > 1e-12 && normal > 0) {
    rub = Math.min(frictionAt(slip) * normal, (2 / 7) * slip * effective[c]!) / slip;
  }
  const fx = -rub * tx;
  const fy = -rub * ty;
  const fz = -rub * tz;
  const jx = fx - normal * nx;
  const jy = fy - normal * ny;
  const jz = fz - normal * nz;
  const qx = ny * fz - nz * fy;
  const qy = nz * fx - nx * fz;
  const qz = nx * fy - ny * fx;
  const mi = perMass[i]!;
  const mj = perMass[j]!;
  const turnI = perTurn[i]!;
  const turnJ = perTurn[j]!;
  change[a] = change[a]! + mi * jx;
  change[a + 1] = change[a + 1]! + mi * jy;
  change[a + 2] = change[a + 2]! + mi * jz;
  change[a + 3] = change[a + 3]! + turnI * qx;
  change[a + 4] = change[a + 4]! + turnI * qy;
  change[a + 5] = change[a + 5]! + turnI * qz;
  change[b] = change[b]! - mj * jx;
  change[b + 1] = change[b + 1]! - mj * jy;
  change[b + 2] = change[b + 2]! - mj * jz;
  change[b + 3] = change[b + 3]! + turnJ * qx;
  change[b + 4] = change[b + 4]! + turnJ * qy;
  change[b + 5] = change[b + 5]! + turnJ * qz;
  pressed[i] = 2;
  pressed[j] = 2;
  return force > QUIET_FORCE || Math.abs(closing) > QUIET_SPEED;
}

/**
 * The same for balls of one size on a bed that takes every hop: all that happens is in the plane and in the spins, so
 * the slip is one number along the cloth and one across it.
 */
function pressLevel(e: Engine, members: readonly number[], c: number, k: number, dt: number): boolean {
  const i = first[c]!;
  const j = second[c]!;
  const dx = place[3 * j]! - place[3 * i]!;
  const dy = place[3 * j + 1]! - place[3 * i + 1]!;
  const apart = Math.sqrt(dx * dx + dy * dy);
  const overlap = sum[c]! - apart;
  if (overlap <= 0) {
    open(c, k, overlap);
    return false;
  }
  if (touched[c] === 0) touch(e, members, c);
  const per = 1 / apart;
  const nx = dx * per;
  const ny = dy * per;
  const a = SIX * i;
  const b = SIX * j;
  const ux = mid[a]! - mid[b]!;
  const uy = mid[a + 1]! - mid[b + 1]!;
  const closing = ux * nx + uy * ny;
  const root = Math.sqrt(overlap);
  const force = stiffness[c]! * overlap * root + damping[c]! * Math.sqrt(root) * closing;
  const normal = force * dt;
  const r = radius[i]!;
  const along = uy * nx - ux * ny + r * (mid[a + 5]! + mid[b + 5]!);
  const up = r * ((mid[a + 3]! + mid[b + 3]!) * ny - (mid[a + 4]! + mid[b + 4]!) * nx);
  const slip = Math.sqrt(along * along + up * up);
  let rub = 0;
  if (slip > 1e-12 && normal > 0) {
    // As in frictionAt, written out: the call would not be inlined here.
    const u = Math.min(FRICTION_STRETCHES, slip * PER_STRETCH);
    const at = Math.trunc(u);
    const low = frictions[at]!;
    const friction = low + (u - at) * (frictions[at + 1]! - low);
    rub = Math.min(friction * normal, (2 / 7) * slip * effective[c]!) / slip;
  }
  const f = -rub * along;
  const lift = -rub * up;
  const jx = -normal * nx - f * ny;
  const jy = f * nx - normal * ny;
  const mi = perMass[i]!;
  const mj = perMass[j]!;
  const turnI = perTurn[i]!;
  const turnJ = perTurn[j]!;
  const qx = ny * lift;
  const qy = -nx * lift;
  change[a] = change[a]! + mi * jx;
  change[a + 1] = change[a + 1]! + mi * jy;
  change[a + 3] = change[a + 3]! + turnI * qx;
  change[a + 4] = change[a + 4]! + turnI * qy;
  change[a + 5] = change[a + 5]! + turnI * f;
  change[b] = change[b]! - mj * jx;
  change[b + 1] = change[b + 1]! - mj * jy;
  change[b + 3] = change[b + 3]! + turnJ * qx;
  change[b + 4] = change[b + 4]! + turnJ * qy;
  change[b + 5] = change[b + 5]! + turnJ * f;
  pressed[i] = 2;
  pressed[j] = 2;
  return force > QUIET_FORCE || Math.abs(closing) > QUIET_SPEED;
}

/** Tells the overlap of every pair that touches now, metres; members by their places among them. */
export function eachOverlap(tell: (a: number, b: number, overlap: number) => void): void {
  for (let c = 0; c < pairs; c++) {
    const [a, b] = [first[c]!, second[c]!];
    const [dx, dy] = [place[3 * b]! - place[3 * a]!, place[3 * b + 1]! - place[3 * a + 1]!];
    const dz = place[3 * b + 2]! - place[3 * a + 2]!;
    const overlap = sum[c]! - Math.sqrt(dx * dx + dy * dy + dz * dz);
    if (overlap > 0) tell(a, b, overlap);
  }
}

/** Notes when an open contact can close again at the earliest. */
function open(c: number, k: number, overlap: number): void {
  due[c] = k + Math.max(1, Math.floor(-overlap / closestStep));
}

function touch(e: Engine, members: readonly number[], c: number): void {
  touched[c] = 1;
  note(e, Note.BallBall, members[first[c]!]!, members[second[c]!]!);
}

/** Moves balls that are still pressed together apart until they just touch: a micrometre at the most. */
export function partMembers(s: BallsState, members: readonly number[]): void {
  for (let c = 0; c < pairs; c++) {
    const i = members[first[c]!]!;
    const j = members[second[c]!]!;
    const overlap = -gapBetween(s, i, j);
    if (overlap <= 0) continue;
    const dx = s.x[j]! - s.x[i]!;
    const dy = s.y[j]! - s.y[i]!;
    const share = (0.5 * overlap) / Math.sqrt(dx * dx + dy * dy);
    s.x[i] = s.x[i]! - share * dx;
    s.y[i] = s.y[i]! - share * dy;
    s.x[j] = s.x[j]! + share * dx;
    s.y[j] = s.y[j]! + share * dy;
  }
}
