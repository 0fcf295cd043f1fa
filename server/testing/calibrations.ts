import type { CalibrationDocument } from '../../core/records/calibration.ts';

/** A calibration that found a fast cloth, by three lags. */
export const PLAIN_CALIBRATION: CalibrationDocument = {
  level: 'team',
  read: [
    {
      id: 'lag 1',
      cue: null,
      isHeard: false,
      times: [
        [1.4, 1.2, null],
        [1.5, null, 3.1],
        [1.45, 1.3, 3],
      ],
    },
  ],
  found: [
    { name: 'rollingFriction', cue: null, before: 0.01, value: 0.008, deviation: 0.0004, isTold: true },
    { name: 'endMass', cue: null, before: 0.006, value: 0.006, deviation: 0.003, isTold: false },
  ],
  leftOut: { shots: 8, before: 0.036, after: 0.026, chance: 0.02 },
};
