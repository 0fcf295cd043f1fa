import { expose } from 'comlink';
import { fitTable } from '../../core/calibration/fit.ts';
import { guidedShots } from '../../core/calibration/guidedShots.ts';
import type { PlayedShot } from '../../core/calibration/madeUp.ts';
import { mostTelling } from '../../core/calibration/nextShot.ts';
import { BY_HAND, errorOf } from '../../core/calibration/reading.ts';
import { unknownsOf } from '../../core/calibration/unknowns.ts';
import { executionErrorOf } from '../../core/player/levels.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { Calibrator } from './calibrationProtocol.ts';

/** The cue of all shots: nobody has to say which it was. */
const CUE = 'cue';
/** So much of the work is done when the table is found. */
const FITTED = 0.9;

const calibrator: Calibrator = {
  calibrate({ on, level, read }, onShare) {
    const table = tableOfCard(on.card, on.conditions);
    const unknowns = unknownsOf(table.preset, [CUE]);
    const offered = guidedShots(table).map((guided) => ({
      guided,
      cue: CUE,
      errors: guided.readings.map((reading) => errorOf(reading, BY_HAND)),
    }));
    const played = read.flatMap(({ id, times }): PlayedShot | [] => {
      const shot = offered.find(({ guided }) => guided.id === id);
      return shot === undefined ? [] : { ...shot, times };
    });
    const error = executionErrorOf(level, table.preset.game);
    const fit = fitTable(table, unknowns, played, error, { onShare: (share) => onShare(FITTED * share) });
    return Promise.resolve({ fit, next: mostTelling(table, unknowns, offered, fit, error) });
  },
};

expose(calibrator);
