import { wrapAngle } from '../../math/angle.ts';
import { bearing, distance, type Point } from '../../math/point.ts';
import { collideBalls, contactDistance } from '../../motion/ballBall.ts';
import { advance, endPhase, enterPhase, settleOnBed } from '../../motion/cloth.ts';
import { createCushionSolver, type CushionSolver } from '../../motion/cushionRebound.ts';
import { createState, giveMotion, Phase, placeAtRest } from '../../motion/state.ts';
import { strikeBall } from '../../motion/strike.ts';
import type { Cushion } from '../../table/cushions.ts';
import type { MotionParameters } from '../../table/parameters.ts';
import type { Table } from '../../table/table.ts';

/** A stroke at an object ball, and how it sends it off; filled in place, as windows ask for hundreds of thousands. */
export interface Impact {
  /** m/s, of the cue; the rest of the stroke in ball radii and radians. */
  speed: number;
  side: number;
  height: number;
  elevation: number;
  /** Direction in which the object ball rolls off, against the line of centres before the stroke, radians. */
  direction: number;
  /** Speed with which a ball without spin would have to be sent off to roll as fast as it does, m/s. */
  sent: number;
  /** Its spin about the vertical, R·ω / `sent`. */
  spin: number;
}

/** Phases of a cue ball before it arrives: a few hops, sliding, rolling, a cushion. */
const MOST_PHASES = 12;
/** Steps in which the moment of contact is found; a straight way needs two or three. */
const MOST_STEPS = 8;
/** Contact is found to this, metres. */
const EXACT = 1e-9;

/** The two balls of one impact, each over before the next begins: none makes an object of its own. */
const pair = createState(2);
let preparedFor: Table | undefined;
let solver: CushionSolver | undefined;
let cueBall = { id: '', x: 0, y: 0, radius: 1, mass: 1 };
let objectBall = { ...cueBall, x: 1 };
const struck = { ball: '', speed: 1, direction: 0, tip: { side: 0, height: 0 }, elevation: 0 };
let toObject = 0;
/** Cushions that the cue ball can meet as it gets to the object ball: that ball lies beside them. */
let beside: readonly Cushion[] = [];
let leftPassing = false;

/** Whether the stroke that was played last and did not meet the object ball passed on its left. */
export function passedLeft(): boolean {
  return leftPassing;
}

/** Whether the object ball lies so near to a cushion that the cue ball can meet both at once. */
export function isByCushion(): boolean {
  return beside.length > 0;
}

/** Where strokes are played from now on: the table, and the two balls' places, metres. */
export function prepareImpact(table: Table, cue: Point, object: Point): void {
  const { ballRadius, ballMass, cueBallRadius, cueBallMass } = table.preset;
  if (preparedFor !== table) {
    cueBall = { ...cueBall, radius: cueBallRadius, mass: cueBallMass };
    objectBall = { ...objectBall, radius: ballRadius, mass: ballMass };
    solver = createCushionSolver(table.parameters);
  }
  if (preparedFor !== table || objectBall.x !== object.x || objectBall.y !== object.y) {
    const near = contactDistance(cueBallRadius, ballRadius) + cueBallRadius;
    beside = table.cushions.filter((cushion) => fromNose(cushion, object.x, object.y) < near);
  }
  cueBall.x = cue.x;
  cueBall.y = cue.y;
  objectBall.x = object.x;
  objectBall.y = object.y;
  preparedFor = table;
  toObject = bearing(cue, object);
}

/** How far a place is from a cushion's nose, metres, positive on the table. */
function fromNose({ noseFrom, inward }: Cushion, x: number, y: number): number {
  return (x - noseFrom.x) * inward.x + (y - noseFrom.y) * inward.y;
}

/** Puts both balls where they lie and strikes the cue ball, without squirt: whoever aims takes that out. */
function strike({ speed, side, height, elevation }: Impact, off: number, p: MotionParameters): void {
  placeAtRest(pair, 0, cueBall, p);
  placeAtRest(pair, 1, objectBall, p);
  struck.speed = speed;
  struck.direction = toObject + off;
  struck.tip.side = side;
  struck.tip.height = height;
  struck.elevation = elevation;
  giveMotion(pair, 0, strikeBall(cueBall, struck, 0));
  settleOnBed(pair, 0, p);
  enterPhase(pair, 0, p);
}

/** When the cue ball meets the object ball in its present phase, seconds; Infinity when it does not. */
function meeting(gravity: number): number {
  const start = pair.t0[0]!;
  const end = pair.phaseEnd[0]!;
  const sum = pair.radius[0]! + pair.radius[1]!;
  let t = start;
  let under = 0;
  for (let step = 0; step < MOST_STEPS; step++) {
    const dt = t - start;
    const vx = pair.vx[0]! + pair.ax[0]! * dt;
    const vy = pair.vy[0]! + pair.ay[0]! * dt;
    const speed = Math.sqrt(vx * vx + vy * vy);
    if (speed < 1e-6) return Infinity;
    const rx = objectBall.x - (pair.x[0]! + (pair.vx[0]! + 0.5 * pair.ax[0]! * dt) * dt);
    const ry = objectBall.y - (pair.y[0]! + (pair.vy[0]! + 0.5 * pair.ay[0]! * dt) * dt);
    const fall = pair.phase[0] === Phase.Flying ? (pair.vz[0]! - 0.5 * gravity * dt) * dt : 0;
    const above = pair.z[0]! + fall - pair.radius[1]!;
    const along = (rx * vx + ry * vy) / speed;
    const aside = (rx * vy - ry * vx) / speed;
    leftPassing = aside > 0;
    under = sum * sum - above * above - aside * aside;
    // Beside or above the ball for now: go on to where it is nearest, the way may bend.
    const short = along - Math.sqrt(Math.max(0, under));
    if (Math.abs(short) < EXACT) return under > 0 ? t : Infinity;
    // On a straight way it gets there by s = v·t + a·t²/2, and where it bends the next step is a small one.
    const gain = (pair.ax[0]! * vx + pair.ay[0]! * vy) / speed;
    t += (2 * short) / (speed + Math.sqrt(Math.max(0, speed * speed + 2 * gain * short)));
    if (t > end && step > 2) return Infinity;
    if (t < start) t = start;
  }
  // Still bending round the ball after so many steps: it meets it only if its way leads into it.
  return under > 0 && t <= end ? t : Infinity;
}

/** When the cue ball comes to a cushion's nose in its present phase, seconds; Infinity when it does not by `until`. */
function comesTo(cushion: Cushion, until: number): number {
  const { inward } = cushion;
  const start = pair.t0[0]!;
  const dt = until - start;
  const gap = fromNose(cushion, pair.x[0]!, pair.y[0]!) - pair.reach[0]!;
  const rate = pair.vx[0]! * inward.x + pair.vy[0]! * inward.y;
  const half = 0.5 * (pair.ax[0]! * inward.x + pair.ay[0]! * inward.y);
  if (rate >= 0 || gap + (rate + half * dt) * dt >= 0) return Infinity;
  // gap + rate·t + half·t² = 0, the first root.
  const root = Math.sqrt(Math.max(0, rate * rate - 4 * half * gap));
  return start + Math.max(0, (2 * gap) / (-rate + root));
}

/** What a cushion does to the cue ball on its way. */
type OnTheWay = 'free' | 'rebounds' | 'caught';

/**
 * Whether the cue ball, where it comes to the line of a cushion beyond that cushion's end, touches the end by a time: the
 * jaw of a pocket turns it away.
 */
function touchesEnd(end: Point, at: number, until: number): boolean {
  const dt = at - pair.t0[0]!;
  const x = pair.x[0]! + (pair.vx[0]! + 0.5 * pair.ax[0]! * dt) * dt;
  const y = pair.y[0]! + (pair.vy[0]! + 0.5 * pair.ay[0]! * dt) * dt;
  const vx = pair.vx[0]! + pair.ax[0]! * dt;
  const vy = pair.vy[0]! + pair.ay[0]! * dt;
  const speed = Math.sqrt(vx * vx + vy * vy);
  const along = ((end.x - x) * vx + (end.y - y) * vy) / speed;
  const aside = ((end.x - x) * vy - (end.y - y) * vx) / speed;
  const under = pair.reach[0]! * pair.reach[0]! - aside * aside;
  return under > 0 && along > 0 && at + (along - Math.sqrt(under)) / speed < until;
}

/** Rebounds the cue ball from the first cushion that it meets by a time, or says that a jaw catches it. */
function meetsCushion(table: Table, until: number): OnTheWay {
  for (const cushion of beside) {
    const t = comesTo(cushion, until);
    if (t > until) continue;
    const { noseFrom, noseTo, inward } = cushion;
    const dt = t - pair.t0[0]!;
    const x = pair.x[0]! + (pair.vx[0]! + 0.5 * pair.ax[0]! * dt) * dt;
    const y = pair.y[0]! + (pair.vy[0]! + 0.5 * pair.ay[0]! * dt) * dt;
    const length = distance(noseFrom, noseTo);
    const along =
      ((x - noseFrom.x) * (noseTo.x - noseFrom.x) + (y - noseFrom.y) * (noseTo.y - noseFrom.y)) / length;
    if (along < 0 || along > length) {
      if (touchesEnd(along < 0 ? noseFrom : noseTo, t, until)) return 'caught';
      continue;
    }
    const vx = pair.vx[0]! + pair.ax[0]! * dt;
    const vy = pair.vy[0]! + pair.ay[0]! * dt;
    // Once it has passed the object ball, what it does there is another shot.
    if ((objectBall.x - x) * vx + (objectBall.y - y) * vy < 0) return 'free';
    advance(pair, 0, t, table.parameters);
    solver?.rebound(pair, 0, -inward.x, -inward.y);
    enterPhase(pair, 0, table.parameters);
    return 'rebounds';
  }
  return 'free';
}

/**
 * Plays a stroke until the object ball rolls, by the simulator's own cloth, cushion and impact: throw, swerve, slide, hops
 * and a cushion that is met with the ball are in it; other cushions and balls are not.
 * @param off direction in which the cue ball leaves, radians to the left of the object ball's middle
 * @param cushions false on an endless bed, as strokes are aimed
 * @returns false when it does not get there or passes by; `direction`, `sent` and `spin` are set otherwise
 */
export function playImpact(table: Table, stroke: Impact, off: number, cushions = true): boolean {
  const p = table.parameters;
  strike(stroke, off, p);
  for (let k = 0; k < MOST_PHASES; k++) {
    if (pair.phase[0]! <= Phase.Spinning) return false;
    const t = meeting(p.gravity);
    const end = pair.phaseEnd[0]!;
    if (cushions && beside.length > 0) {
      const way = meetsCushion(table, Math.min(t, end));
      if (way === 'caught') return false;
      if (way === 'rebounds') continue;
    }
    if (t <= end) {
      advance(pair, 0, t, p);
      return collide(table, stroke);
    }
    advance(pair, 0, end, p);
    const along = (objectBall.x - pair.x[0]!) * pair.vx[0]! + (objectBall.y - pair.y[0]!) * pair.vy[0]!;
    if (along < 0) return false;
    endPhase(pair, 0, p);
  }
  return false;
}

function collide({ parameters }: Table, stroke: Impact): boolean {
  if (!collideBalls(pair, 0, 1, parameters)) return false;
  const radius = pair.radius[1]!;
  // Sliding ends at 5/7 of the velocity and 2/7 of what the spin would roll with.
  const rx = (5 * pair.vx[1]! + 2 * radius * pair.wy[1]!) / 7;
  const ry = (5 * pair.vy[1]! - 2 * radius * pair.wx[1]!) / 7;
  stroke.direction = wrapAngle(Math.atan2(ry, rx) - toObject);
  stroke.sent = 1.4 * Math.sqrt(rx * rx + ry * ry);
  stroke.spin = stroke.sent > 0 ? (radius * pair.wz[1]!) / stroke.sent : 0;
  return true;
}
