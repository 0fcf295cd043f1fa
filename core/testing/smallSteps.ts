import type { Shot } from '../motion/shot.ts';
import { nearestBehind, type Nearest } from './smallStepsTable.ts';
import { add, cross, dot, minus, scaled, size, type Vector } from './vectors.ts';

/**
 * A brute-force twin of the simulator for its tests: the same equations, written apart from it and integrated in small
 * steps. It knows nothing of events, phases, roots or tables of rebounds; contacts are found by looking whether
 * bodies overlap. Balls on the cloth only.
 */
interface Ball {
  readonly id: string;
  readonly r: number;
  readonly m: number;
  at: Vector;
  v: Vector;
  w: Vector;
}

/** Impulses into which a rebound from a cushion is cut. */
const CUSHION_PARTS = 20_000;
/** Step while balls are in touch, seconds: a contact lasts some 300 of them. */
const CONTACT_STEP = 2e-7;
/** Step while two balls are about to meet, seconds. */
const NEAR_STEP = 1e-6;
const LONGEST_S = 40;

/** @returns where the balls rest, or undefined when one comes near a pocket or time runs out */
export function smallStepRest(shot: Shot, dt: number): readonly { x: number; y: number }[] | undefined {
  const balls = shot.balls.map((b): Ball => struck(shot, b));
  let pressing = false;
  for (let t = 0; t < LONGEST_S;) {
    const h = pressing ? CONTACT_STEP : aboutToMeet(balls, dt) ? NEAR_STEP : dt;
    if (pressing) pressing = pressContacts(balls, h, shot);
    let moving = pressing;
    for (const b of balls) moving = rubOnCloth(b, h, shot) || moving;
    if (!moving) return balls.map(({ at }) => ({ x: at[0], y: at[1] }));
    for (const b of balls) {
      const found = nearestBehind(shot.table, b.at, b.r);
      if (found === 'pocket') return undefined;
      if (found !== undefined) meetCushion(b, found, shot);
    }
    if (!pressing) pressing = meet(balls, shot);
    t += h;
  }
  return undefined;
}

function gapOf(i: Ball, j: Ball): number {
  return size(minus(j.at, i.at)) - i.r - j.r;
}

function closingOf(i: Ball, j: Ball): number {
  const apart = minus(j.at, i.at);
  return dot(minus(i.v, j.v), apart) / size(apart);
}

function aboutToMeet(balls: readonly Ball[], dt: number): boolean {
  let found = false;
  forEachPair(balls, (i, j) => {
    const closing = closingOf(i, j);
    if (closing > 1e-3 && gapOf(i, j) < 2 * closing * dt) found = true;
  });
  return found;
}

function stiffnessOf(i: Ball, j: Ball): number {
  const modulus = 5.8e9 / (2 * (1 - 0.34 ** 2));
  return (4 / 3) * modulus * Math.sqrt((i.r * j.r) / (i.r + j.r));
}

/** Whether a third ball is so near that it is reached while the blow between i and j lasts. */
function reachesAThird(balls: readonly Ball[], i: Ball, j: Ball): boolean {
  const closing = closingOf(i, j);
  if (closing < 0.01) return false;
  const effective = 1 / (1 / i.m + 1 / j.m);
  const deepest = ((5 * effective * closing ** 2) / (4 * stiffnessOf(i, j))) ** 0.4;
  return balls.some((k) => k !== i && k !== j && Math.min(gapOf(k, i), gapOf(k, j)) < 2.9433 * deepest);
}

function struck(shot: Shot, b: Shot['balls'][number]): Ball {
  const ball: Ball = {
    id: b.id,
    r: b.radius,
    m: b.mass,
    at: [b.x, b.y, b.radius],
    v: [0, 0, 0],
    w: [0, 0, 0],
  };
  const { strike } = shot;
  if (b.id !== strike.ball) return ball;
  const { direction: d, elevation: e, tip } = strike;
  const cue: Vector = [Math.cos(e) * Math.cos(d), Math.cos(e) * Math.sin(d), -Math.sin(e)];
  const right: Vector = [Math.sin(d), -Math.cos(d), 0];
  const up = cross(right, cue);
  const depth = Math.sqrt(1 - tip.side ** 2 - tip.height ** 2);
  const contact = scaled(
    add(add(scaled(right, tip.side), scaled(up, tip.height)), scaled(cue, -depth)),
    b.radius,
  );
  const impulse = scaled(cue, b.mass * strike.speed);
  ball.v = [impulse[0] / b.mass, impulse[1] / b.mass, 0];
  ball.w = scaled(cross(contact, impulse), 1 / (0.4 * b.mass * b.radius ** 2));
  return ball;
}

/** Moves the ball by a step under the cloth's friction, the mean of the step's forces; false when it lies still. */
function rubOnCloth(b: Ball, h: number, { table }: Shot): boolean {
  const p = table.parameters;
  const slip = add(b.v, cross(b.w, [0, 0, -b.r]));
  slip[2] = 0;
  const speed = size(b.v);
  const slide = p.slidingFriction * p.gravity;
  const roll = p.rollingFriction * p.gravity;
  const before = b.v;
  const spin = Math.abs(b.w[2]);
  const turn = Math.sign(b.w[2]) * Math.max(0, spin - p.spinDeceleration * h);
  if (size(slip) > 3.5 * slide * h) {
    const a = scaled(slip, -slide / size(slip));
    b.v = add(b.v, scaled(a, h));
    b.w = add(b.w, scaled(cross([0, 0, -b.r], a), h / (0.4 * b.r ** 2)));
  } else if (size(slip) > 1e-12 * (1 + speed)) {
    // The rest of the slip goes within the step.
    const a = scaled(slip, -2 / 7);
    b.v = add(b.v, a);
    b.w = scaled(cross([0, 0, 1], b.v), 1 / b.r);
  } else if (speed > roll * h) {
    b.v = scaled(b.v, 1 - (roll * h) / speed);
    b.w = scaled(cross([0, 0, 1], b.v), 1 / b.r);
  } else {
    b.at = add(b.at, scaled(b.v, speed / (2 * roll)));
    b.v = [0, 0, 0];
    b.w = [0, 0, 0];
  }
  b.w[2] = turn;
  b.at = add(b.at, scaled(add(before, b.v), 0.5 * h));
  return speed > 0 || size(slip) > 0;
}

function ballFriction(slip: number, { table }: Shot): number {
  const { a, b, c } = table.parameters.ballFriction;
  return a + b * Math.exp(-c * slip);
}

/** Slip of the touching surfaces: the relative velocity of the two contact points less its part along n. */
function slipOf(i: Ball, j: Ball, n: Vector): Vector {
  const relative = minus(add(i.v, cross(i.w, scaled(n, i.r))), add(j.v, cross(j.w, scaled(n, -j.r))));
  return minus(relative, scaled(n, dot(relative, n)));
}

function applyTo(b: Ball, impulse: Vector, arm: Vector): void {
  b.v = add(b.v, scaled(impulse, 1 / b.m));
  b.v[2] = 0;
  b.w = add(b.w, scaled(cross(arm, impulse), 1 / (0.4 * b.m * b.r ** 2)));
}

/**
 * Two balls that overlap: alone, they are taken back to where they touched, given one impulse, and go on for the rest
 * of the step; when a third one is near, all are pressed from now on.
 */
function meet(balls: readonly Ball[], shot: Shot): boolean {
  let shared = false;
  forEachPair(balls, (i, j) => {
    const sum = i.r + j.r;
    const apart = minus(j.at, i.at);
    if (size(apart) >= sum) return;
    const u = minus(i.v, j.v);
    if (dot(u, apart) <= 0) return;
    if (reachesAThird(balls, i, j)) {
      shared = true;
      return;
    }
    // |apart + u·t| = sum, t the time since they touched.
    const b = dot(apart, u);
    const t = (-b + Math.sqrt(b * b + dot(u, u) * (sum * sum - dot(apart, apart)))) / dot(u, u);
    i.at = add(i.at, scaled(i.v, -t));
    j.at = add(j.at, scaled(j.v, -t));
    const n = scaled(minus(j.at, i.at), 1 / sum);
    const effective = 1 / (1 / i.m + 1 / j.m);
    const normal = (1 + shot.table.parameters.ballRestitution) * dot(u, n) * effective;
    const slip = slipOf(i, j, n);
    const s = size(slip);
    const rub = s === 0 ? 0 : Math.min(ballFriction(s, shot) * normal, (2 / 7) * s * effective) / s;
    const impulse = minus(scaled(n, -normal), scaled(slip, rub));
    applyTo(i, impulse, scaled(n, i.r));
    applyTo(j, scaled(impulse, -1), scaled(n, -j.r));
    i.at = add(i.at, scaled(i.v, t));
    j.at = add(j.at, scaled(j.v, t));
  });
  return shared;
}

function forEachPair(balls: readonly Ball[], work: (i: Ball, j: Ball) => void): void {
  balls.forEach((i, k) => {
    for (const j of balls.slice(k + 1)) work(i, j);
  });
}

/** One fine step of damped Hertz contacts with friction between all balls that overlap; false when none does. */
function pressContacts(balls: readonly Ball[], h: number, shot: Shot): boolean {
  const e = shot.table.parameters.ballRestitution;
  const alpha = (-Math.sqrt(5) * Math.log(e)) / Math.hypot(Math.log(e), Math.PI);
  const impulses: (() => void)[] = [];
  forEachPair(balls, (i, j) => {
    const apart = minus(j.at, i.at);
    const overlap = i.r + j.r - size(apart);
    if (overlap <= 0) return;
    const n = scaled(apart, 1 / size(apart));
    const k = stiffnessOf(i, j);
    const effective = 1 / (1 / i.m + 1 / j.m);
    const closing = dot(minus(i.v, j.v), n);
    const force = k * overlap ** 1.5 + alpha * Math.sqrt(effective * k) * overlap ** 0.25 * closing;
    const slip = slipOf(i, j, n);
    const s = size(slip);
    const rub =
      s === 0 ? 0 : Math.min(ballFriction(s, shot) * Math.max(0, force) * h, (2 / 7) * s * effective) / s;
    const impulse = minus(scaled(n, -force * h), scaled(slip, rub));
    impulses.push(() => {
      applyTo(i, impulse, scaled(n, i.r));
      applyTo(j, scaled(impulse, -1), scaled(n, -j.r));
    });
  });
  for (const apply of impulses) apply();
  return impulses.length > 0;
}

/** A ball that is behind a nose: taken back, pressed out in many small impulses at nose and cloth, and on. */
function meetCushion(b: Ball, { normal, depth }: Nearest, { table }: Shot): void {
  const p = table.parameters;
  const into = scaled(normal, -1);
  const vn = dot(b.v, into);
  if (vn <= 0) return;
  const t = depth / vn;
  b.at = add(b.at, scaled(b.v, -t));
  const sin = (p.noseHeight - b.r) / b.r;
  const cos = Math.sqrt(1 - sin * sin);
  const towards: Vector = [into[0] * cos, into[1] * cos, sin];
  const nose = scaled(towards, b.r);
  const foot: Vector = [0, 0, -b.r];
  const part = (b.m * vn) / CUSHION_PARTS;
  let work = 0;
  let stored = -1;
  for (let k = 0; k < 10 * CUSHION_PARTS; k++) {
    const closing = dot(b.v, towards);
    if (stored < 0 && dot(b.v, into) <= 0) {
      stored = work;
      work = 0;
    }
    work += part * Math.abs(closing);
    if (stored >= 0 && work >= p.cushionRestitution ** 2 * stored) break;
    const atNose = add(b.v, cross(b.w, nose));
    const slip = minus(atNose, scaled(towards, dot(atNose, towards)));
    const s = size(slip);
    const rub = s === 0 ? 0 : Math.min(p.cushionFriction * part, (2 / 7) * s * b.m) / s;
    const push = minus(scaled(towards, -part), scaled(slip, rub));
    // The bed bears what presses the ball down, so that it does not move up or down.
    const bearing = Math.max(0, -push[2]);
    const atFoot = add(b.v, cross(b.w, foot));
    atFoot[2] = 0;
    const f = size(atFoot);
    const drag = f === 0 ? 0 : Math.min(p.slidingFriction * bearing, (2 / 7) * f * b.m) / f;
    applyTo(b, push, nose);
    applyTo(b, scaled(atFoot, -drag), foot);
  }
  b.at = add(b.at, scaled(b.v, t));
}
