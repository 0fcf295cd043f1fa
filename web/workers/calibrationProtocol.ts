import type { Fit } from '../../core/calibration/fit.ts';
import type { Told } from '../../core/calibration/features.ts';
import type { NextShot } from '../../core/calibration/nextShot.ts';
import type { LevelName } from '../../core/player/levels.ts';
import type { TableAsPlayed } from './protocol.ts';

/** What was read of the guided shots of a table. */
export interface CalibrationAsked {
  readonly on: TableAsPlayed;
  /** How whoever played plays. */
  readonly level: LevelName;
  /** By the names of the guided shots. */
  readonly read: readonly { readonly id: string; readonly times: readonly Told[] }[];
}

/** What the shots say, and which would say most next. */
export interface Calibrated {
  readonly fit: Fit;
  readonly next: NextShot | undefined;
}

/** What the worker for calibrations does. */
export interface Calibrator {
  calibrate(asked: CalibrationAsked, onShare: (share: number) => void): Promise<Calibrated>;
}
