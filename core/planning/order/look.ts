import type { Draws } from '../../player/execute.ts';
import { SETTLING_DRAWS } from './draws.ts';

/** How closely the strokes of a shot are looked at where the cue ball lies. */
export interface Look {
  /** Paces of the cue, m/s, and heights of the tip, ball radii. */
  readonly speeds: readonly number[];
  readonly heights: readonly number[];
  /** Pots that are followed up, the most hopeful. */
  readonly lines: number;
  /** Strokes that are tried more closely, and those among them that are settled among. */
  readonly closely: number;
  readonly settled: number;
  readonly settling: readonly Draws[];
  /** Whether a stroke that moves other balls counts for it only where one that was blocked comes free: takes a second look. */
  readonly freeing: boolean;
}

/** For a plan that is shown. */
export const CAREFUL: Look = {
  speeds: [0.7, 0.95, 1.3, 1.75, 2.4, 3.3],
  heights: [-0.4, -0.2, 0.05, 0.25, 0.42],
  lines: 5,
  closely: 12,
  settled: 5,
  settling: SETTLING_DRAWS,
  freeing: true,
};
/** For thousands of shots: a tenth of the work. */
export const QUICK_LOOK: Look = {
  speeds: [0.8, 1.2, 1.8, 2.8],
  heights: [-0.35, 0.05, 0.4],
  lines: 3,
  closely: 5,
  settled: 2,
  settling: SETTLING_DRAWS.slice(0, 16),
  freeing: false,
};
