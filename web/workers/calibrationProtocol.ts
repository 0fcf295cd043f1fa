import type { Fit } from '../../core/calibration/fit.ts';
import type { LeftOut } from '../../core/calibration/leftOut.ts';
import type { PocketModel } from '../../core/calibration/pockets.ts';
import type { NextShot } from '../../core/calibration/nextShot.ts';
import type { Unknown } from '../../core/calibration/unknowns.ts';
import type { ReadShot } from '../../core/records/calibration.ts';
import type { LevelName } from '../../core/player/levels.ts';
import type { TableAsPlayed } from './protocol.ts';

/** What was read of the guided shots of a table. */
export interface CalibrationAsked {
  readonly on: TableAsPlayed;
  /** How whoever played plays. */
  readonly level: LevelName;
  /** By the names of the guided shots, and the cues with which they were played. */
  readonly read: readonly ReadShot[];
}

/** What the shots say, and which would say most next. */
export interface Calibrated {
  readonly unknowns: readonly Unknown[];
  readonly fit: Fit;
  /** How much better places are foretold on shots that were not used; undefined where there are too few. */
  readonly leftOut: LeftOut | undefined;
  readonly next: NextShot | undefined;
}

/** What the worker for calibrations does. */
export interface Calibrator {
  calibrate(asked: CalibrationAsked, onShare: (share: number) => void): Promise<Calibrated>;
  /** The times of a guided shot from a recording of it, in the order of its readings. */
  listen(
    on: TableAsPlayed,
    shot: string,
    sound: { readonly samples: Float32Array; readonly rate: number },
  ): Promise<readonly (number | undefined)[]>;
  /** What becomes of balls that are rolled at the pockets, for every mouth that is thought of: corners, then middles. */
  pockets(on: TableAsPlayed, level: LevelName): Promise<readonly PocketModel[]>;
}
