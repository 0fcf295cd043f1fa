import type { BallMotion } from './shot.ts';

/** What a ball does between two events. */
export const Phase = { Rest: 0, Spinning: 1, Rolling: 2, Sliding: 3, Potted: 4 } as const;
export type Phase = (typeof Phase)[keyof typeof Phase];

/**
 * All balls of a shot while it runs. Each ball has its own clock `t0`: its place is x + vx·τ + ax·τ²/2 at
 * τ = t − t0, so a ball is touched only by its own events.
 */
export interface BallsState {
  readonly count: number;
  readonly ids: readonly string[];
  readonly radius: Float64Array;
  readonly mass: Float64Array;
  readonly t0: Float64Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly vx: Float64Array;
  readonly vy: Float64Array;
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

/** @param balls their places, velocities and spins at time 0 */
export function createState(balls: readonly BallMotion[]): BallsState {
  const n = balls.length;
  const ids: string[] = [];
  const state = {
    count: n,
    ids,
    radius: new Float64Array(n),
    mass: new Float64Array(n),
    t0: new Float64Array(n),
    x: new Float64Array(n),
    y: new Float64Array(n),
    vx: new Float64Array(n),
    vy: new Float64Array(n),
    ax: new Float64Array(n),
    ay: new Float64Array(n),
    wx: new Float64Array(n),
    wy: new Float64Array(n),
    wz: new Float64Array(n),
    bx: new Float64Array(n),
    by: new Float64Array(n),
    phase: new Uint8Array(n),
    phaseEnd: new Float64Array(n),
  };
  for (let i = 0; i < n; i++) {
    const ball = balls[i]!;
    ids.push(ball.id);
    state.radius[i] = ball.radius;
    state.mass[i] = ball.mass;
    state.x[i] = ball.x;
    state.y[i] = ball.y;
    state.vx[i] = ball.vx;
    state.vy[i] = ball.vy;
    state.wx[i] = ball.wx;
    state.wy[i] = ball.wy;
    state.wz[i] = ball.wz;
    state.phaseEnd[i] = Infinity;
  }
  return state;
}
