import type { Point } from '../math/point.ts';

/** A ball as a camera saw it in one frame. */
export interface SeenBall {
  /** Its name, or the colour that several share: reds are all called red. */
  readonly name: string;
  readonly at: Point;
  /** 0…1. */
  readonly confidence: number;
}

/** What a camera saw at one moment. */
export interface CameraFrame {
  /** Counts up. */
  readonly seq: number;
  /** Seconds by the camera's clock. */
  readonly at: number;
  /** Something is over the table: a hand, a cue, a player. */
  readonly isCovered: boolean;
  readonly balls: readonly SeenBall[];
}

/** Where a name was seen, and when. */
export interface Seen {
  readonly at: Point;
  /** Seconds by the camera's clock. */
  readonly time: number;
}
