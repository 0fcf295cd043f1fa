import { proxy } from 'comlink';
import type { Calibrated, CalibrationAsked, Calibrator } from './calibrationProtocol.ts';
import { oneRun, type Running } from './oneRun.ts';

/** What the guided shots say of a table, in a thread of its own. */
export function calibrationOf(
  asked: CalibrationAsked,
  onShare: (share: number) => void,
): Running<Calibrated> {
  const worker = new Worker(new URL('./calibration.worker.ts', import.meta.url), { type: 'module' });
  return oneRun<Calibrator, Calibrated>(worker, (calibrator) => calibrator.calibrate(asked, proxy(onShare)));
}
