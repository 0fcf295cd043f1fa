import { cosine, sine } from '../math/elementary.ts';
import type { BallMotion, BallOnTable, Strike } from './shot.ts';

/** Farther from the middle the tip slips off the ball, ball radii. */
export const MISCUE_OFFSET = 0.5;

/**
 * Tangent of the angle by which a ball leaves to the side away from the tip: 2.5·a·√(1 − a²)/(1 + m/M + 2.5·(1 − a²)),
 * from the sideways impulse that the cue's end, of mass M, gives way to. The lighter the ball, the more it squirts.
 * @param side a, ball radii, positive right of centre
 * @param ballMass m, kg; @param endMass M, kg; 0 for a cue that does not squirt
 * @returns positive to the left, as the player sees it
 */
export function squirtTangent(side: number, ballMass: number, endMass: number): number {
  if (endMass <= 0) return 0;
  const rest = 1 - side * side;
  return (2.5 * side * Math.sqrt(rest)) / (1 + ballMass / endMass + 2.5 * rest);
}

/**
 * The motion of a ball right after it was struck, the cue a rigid impulse m·v0 along its own direction at the
 * tip's place on the sphere; the bed takes the vertical part, or gives some of it back as a hop.
 *
 * Spin is r × J / I with I = 2/5·m·R², so ω = 5·v0/(2R)·(side·up + height·left), "up" and "left" being the
 * directions across the cue that the player sees: (sin ε·cos φ, sin ε·sin φ, cos ε) and (−sin φ, cos φ, 0) for the
 * direction φ and the elevation ε. Squirt turns the velocity, not the spin.
 * @param endMass of the cue's end, kg; 0 for no squirt
 */
export function strikeBall(ball: BallOnTable, strike: Strike, endMass: number): BallMotion {
  const { speed, direction, tip, elevation } = strike;
  const cosD = cosine(direction);
  const sinD = sine(direction);
  const cosE = cosine(elevation);
  const sinE = sine(elevation);
  const rate = (2.5 * speed) / ball.radius;
  const tangent = squirtTangent(tip.side, ball.mass, endMass);
  const along = (speed * cosE) / Math.sqrt(1 + tangent * tangent);
  return {
    id: ball.id,
    x: ball.x,
    y: ball.y,
    radius: ball.radius,
    mass: ball.mass,
    vx: along * (cosD - tangent * sinD),
    vy: along * (sinD + tangent * cosD),
    vz: -speed * sinE,
    wx: rate * (tip.side * sinE * cosD - tip.height * sinD),
    wy: rate * (tip.side * sinE * sinD + tip.height * cosD),
    wz: rate * tip.side * cosE,
  };
}
