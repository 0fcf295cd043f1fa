import type { BallMotion, BallOnTable, Strike } from './shot.ts';

/** Farther from the middle the tip slips off the ball, ball radii. */
export const MISCUE_OFFSET = 0.5;

/**
 * The motion of a ball right after it was struck, the cue a rigid impulse m·v0 along its own direction at the
 * tip's place on the sphere; the cloth takes the vertical part.
 *
 * Spin is r × J / I with I = 2/5·m·R², so ω = 5·v0/(2R)·(side·up + height·left), "up" and "left" being the
 * directions across the cue that the player sees: (sin ε·cos φ, sin ε·sin φ, cos ε) and (−sin φ, cos φ, 0) for the
 * direction φ and the elevation ε.
 */
export function strikeBall(ball: BallOnTable, strike: Strike): BallMotion {
  const { speed, direction, tip, elevation } = strike;
  const cosD = Math.cos(direction);
  const sinD = Math.sin(direction);
  const cosE = Math.cos(elevation);
  const sinE = Math.sin(elevation);
  const rate = (2.5 * speed) / ball.radius;
  return {
    id: ball.id,
    x: ball.x,
    y: ball.y,
    radius: ball.radius,
    mass: ball.mass,
    vx: speed * cosE * cosD,
    vy: speed * cosE * sinD,
    wx: rate * (tip.side * sinE * cosD - tip.height * sinD),
    wy: rate * (tip.side * sinE * sinD + tip.height * cosD),
    wz: rate * tip.side * cosE,
  };
}
