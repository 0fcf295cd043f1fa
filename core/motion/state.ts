import type { MotionParameters } from '../table/parameters.ts';
import { noseDistance } from './noseDistance.ts';
import type { BallMotion, BallOnTable } from './shot.ts';

/** What a ball does between two events. */
export const Phase = {
  Rest: 0,
  Spinning: 1,
  Rolling: 2,
  Sliding: 3,
  Flying: 4,
  Potted: 5,
  OffTable: 6,
} as const;
export type Phase = (typeof Phase)[keyof typeof Phase];

/**
 * All balls of a shot while it runs, one array a quantity, so that nothing is allocated on the way. Each ball has
 * its own clock `t0`: its place is x + vx·τ + ax·τ²/2 at τ = t − t0, so a ball is touched only by its own events.
 */
export interface BallsState {
  count: number;
  readonly ids: string[];
  readonly radius: Float64Array;
  readonly mass: Float64Array;
  /** How far in plan the centre is from the nose when they touch, metres. */
  readonly reach: Float64Array;
  readonly t0: Float64Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** Height of the centre above the cloth, metres. */
  readonly z: Float64Array;
  readonly vx: Float64Array;
  readonly vy: Float64Array;
  readonly vz: Float64Array;
  readonly ax: Float64Array;
  readonly ay: Float64Array;
  readonly wx: Float64Array;
  readonly wy: Float64Array;
  readonly wz: Float64Array;
  /** Change of wx and wy per second while sliding. */
  readonly bx: Float64Array;
  readonly by: Float64Array;
  readonly phase: Uint8Array;
  /** When the present phase ends if nothing interferes, absolute seconds. */
  readonly phaseEnd: Float64Array;
}

export function createState(capacity: number): BallsState {
  const numbers = () => new Float64Array(capacity);
  return {
    count: 0,
    ids: [],
    radius: numbers(),
    mass: numbers(),
    reach: numbers(),
    t0: numbers(),
    x: numbers(),
    y: numbers(),
    z: numbers(),
    vx: numbers(),
    vy: numbers(),
    vz: numbers(),
    ax: numbers(),
    ay: numbers(),
    wx: numbers(),
    wy: numbers(),
    wz: numbers(),
    bx: numbers(),
    by: numbers(),
    phase: new Uint8Array(capacity),
    phaseEnd: numbers(),
  };
}

/** Puts a ball at index i at time 0, at rest on the cloth. */
export function placeAtRest(s: BallsState, i: number, ball: BallOnTable, p: MotionParameters): void {
  s.ids[i] = ball.id;
  s.radius[i] = ball.radius;
  s.mass[i] = ball.mass;
  s.reach[i] = noseDistance(ball.radius, p.noseHeight);
  s.t0[i] = 0;
  s.x[i] = ball.x;
  s.y[i] = ball.y;
  s.z[i] = ball.radius;
  s.vx[i] = 0;
  s.vy[i] = 0;
  s.vz[i] = 0;
  s.ax[i] = 0;
  s.ay[i] = 0;
  s.wx[i] = 0;
  s.wy[i] = 0;
  s.wz[i] = 0;
  s.bx[i] = 0;
  s.by[i] = 0;
  s.phase[i] = Phase.Rest;
  s.phaseEnd[i] = Infinity;
}

/** Gives a ball that was placed its motion; its phase is yet to be entered. */
export function giveMotion(s: BallsState, i: number, motion: BallMotion): void {
  s.vx[i] = motion.vx;
  s.vy[i] = motion.vy;
  s.vz[i] = motion.vz ?? 0;
  s.wx[i] = motion.wx;
  s.wy[i] = motion.wy;
  s.wz[i] = motion.wz;
}
