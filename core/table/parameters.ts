/** What the cloth, the balls and the cushions do to a moving ball. */
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
  /** e, ball on cushion, 0…1. */
  readonly cushionRestitution: number;
  readonly cushionFriction: number;
  /** Height of the nose above the cloth, metres. */
  readonly noseHeight: number;
  /** m/s². */
  readonly gravity: number;
}
