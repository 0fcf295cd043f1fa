import { wrapAngle } from '../math/angle.ts';
import { bearing, type Point } from '../math/point.ts';
import { contactPlace } from './cut.ts';

/** The sizes and masses of the two balls of a hit, and how lively it is. */
export interface HitBalls {
  readonly cueBallRadius: number;
  readonly cueBallMass: number;
  readonly ballRadius: number;
  readonly ballMass: number;
  /** Coefficient of restitution between balls, 0…1. */
  readonly restitution: number;
}

/** Where the cue ball goes if it is left alone after a hit, radians. */
export interface NaturalPath {
  /** Centre of the cue ball at the hit, metres. */
  readonly contact: Point;
  /** Way of the cue ball before the hit. */
  readonly approach: number;
  /** Along the tangent of the two balls, on the side to which the cue ball goes off. */
  readonly tangent: number;
  /** Of a cue ball that slides without turning (stun). */
  readonly stun: number;
  /** Of a cue ball that rolls as it hits, once it rolls again. */
  readonly rolling: number;
}

/**
 * The natural ways of the cue ball after it sends a ball towards a target, in closed form and without friction
 * between the balls. Along the line of centres it keeps (m₁ − e·m₂)/(m₁ + m₂) of its speed, across it all; a rolling
 * ball keeps its spin through the hit, and where it ends rolling its velocity is 5/7 of what it has after the hit
 * plus 2/7 of what it had before (Alciatore, technical proofs on the 30° rule; here for unlike masses).
 * @param cue, object, target centres of the balls and the place aimed at, metres
 */
export function naturalPath(cue: Point, object: Point, target: Point, balls: HitBalls): NaturalPath {
  const contact = contactPlace(object, target, balls.cueBallRadius, balls.ballRadius);
  const approach = bearing(cue, contact);
  const line = bearing(contact, object);
  const cut = wrapAngle(approach - line);
  const { cueBallMass: m1, ballMass: m2, restitution: e } = balls;
  const along = (Math.cos(cut) * (m1 - e * m2)) / (m1 + m2);
  const across = Math.sin(cut);
  const rollingAlong = (5 / 7) * along + (2 / 7) * Math.cos(cut);
  const directionOf = (a: number, b: number) => wrapAngle(line + Math.atan2(b, a));
  return {
    contact,
    approach,
    tangent: wrapAngle(line + (cut >= 0 ? 1 : -1) * (Math.PI / 2)),
    stun: directionOf(along, across),
    rolling: directionOf(rollingAlong, across),
  };
}
