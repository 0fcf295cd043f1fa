/** What the cloth, the balls, the cushions and the cue do to a moving ball. */
export interface MotionParameters {
  /** μs, cloth on a sliding ball. */
  readonly slidingFriction: number;
  /** μr, cloth on a rolling ball. */
  readonly rollingFriction: number;
  /** Decay of the spin about the vertical, rad/s². */
  readonly spinDeceleration: number;
  /** e, ball on ball, 0…1. */
  readonly ballRestitution: number;
  /** μ(s) = a + b·exp(−c·s), s the slip between two balls in m/s. */
  readonly ballFriction: { readonly a: number; readonly b: number; readonly c: number };
  /** e, ball on cushion, by work, 0…1. */
  readonly cushionRestitution: number;
  /** How much the cushion's restitution falls for each m/s of normal speed, s/m; 0 for none. */
  readonly cushionRestitutionFall: number;
  readonly cushionFriction: number;
  /** Height of the nose above the cloth, metres. */
  readonly noseHeight: number;
  /** e, ball on bed, 0…1; at 0 the cloth takes every vertical velocity and no ball ever hops. */
  readonly bedRestitution: number;
  /** Mass of the cue's end that a sideways push must move, kg; 0 for a cue that does not squirt. */
  readonly endMass: number;
  /** m/s². */
  readonly gravity: number;
}
