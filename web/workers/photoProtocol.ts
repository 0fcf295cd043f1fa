import type { Pixel, PictureSize } from '../../core/photo/camera.ts';
import type { SeenBall } from '../../core/photo/ballInPhoto.ts';
import type { Picture, ProposedBall } from '../../core/photo/findBalls.ts';
import type { Mark } from '../../core/photo/marks.ts';
import type { Table } from '../../core/table/table.ts';

/** What was marked in a picture of a table. */
export interface PhotoAsked {
  readonly table: Table;
  readonly size: PictureSize;
  /** The four corners first. */
  readonly marks: readonly Mark[];
  /** Middles of balls, with their radii in metres. */
  readonly balls: readonly { readonly pixel: Pixel; readonly radius: number }[];
}

/** What the marks tell. */
export interface PhotoRead {
  /** One for each ball; null for one that is marked off the table. */
  readonly balls: readonly (SeenBall | null)[];
  /** How far marks are off that were not used, pixels, or what a finger usually makes. */
  readonly error: number;
  readonly isMeasured: boolean;
  /** The edges of the cushions as the camera would see them, and where further marks should lie. */
  readonly edges: readonly Pixel[];
}

/** What the worker for pictures does. */
export interface PhotoSolver {
  read(asked: PhotoAsked): Promise<PhotoRead>;
  find(asked: PhotoAsked, picture: Picture): Promise<readonly ProposedBall[]>;
}
