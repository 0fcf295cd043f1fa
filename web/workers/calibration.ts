import { proxy } from 'comlink';
import type { PocketModel } from '../../core/calibration/pockets.ts';
import type { LevelName } from '../../core/player/levels.ts';
import type { Calibrated, CalibrationAsked, Calibrator } from './calibrationProtocol.ts';
import { oneRun, type Running } from './oneRun.ts';
import type { TableAsPlayed } from './protocol.ts';

const start = () => new Worker(new URL('./calibration.worker.ts', import.meta.url), { type: 'module' });

/** What the guided shots say of a table, in a thread of its own. */
export function calibrationOf(
  asked: CalibrationAsked,
  onShare: (share: number) => void,
): Running<Calibrated> {
  return oneRun<Calibrator, Calibrated>(start(), (calibrator) => calibrator.calibrate(asked, proxy(onShare)));
}

/** The times of a guided shot from a recording of it. @param shot its name */
export function timesFrom(
  on: TableAsPlayed,
  shot: string,
  sound: { readonly samples: Float32Array; readonly rate: number },
): Promise<readonly (number | undefined)[]> {
  return oneRun<Calibrator, readonly (number | undefined)[]>(start(), (calibrator) =>
    calibrator.listen(on, shot, sound),
  ).answer;
}

/** What becomes of balls that are rolled at the pockets of a table. @param level of whoever rolls them */
export function pocketModels(on: TableAsPlayed, level: LevelName): Promise<readonly PocketModel[]> {
  return oneRun<Calibrator, readonly PocketModel[]>(start(), (calibrator) => calibrator.pockets(on, level))
    .answer;
}
