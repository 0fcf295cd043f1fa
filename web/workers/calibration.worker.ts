import { expose } from 'comlink';
import { fitTable } from '../../core/calibration/fit.ts';
import { guidedShots, type GuidedShot } from '../../core/calibration/guidedShots.ts';
import { timesHeard } from '../../core/calibration/hearing.ts';
import { errorsLeftOut } from '../../core/calibration/leftOut.ts';
import type { PlayedShot } from '../../core/calibration/madeUp.ts';
import { mostTelling } from '../../core/calibration/nextShot.ts';
import { pocketModel, POCKET_KINDS } from '../../core/calibration/pockets.ts';
import { BY_EAR, BY_HAND, errorOf } from '../../core/calibration/reading.ts';
import { NO_NAMED_CUE, unknownsOf } from '../../core/calibration/unknowns.ts';
import { simulate } from '../../core/motion/simulate.ts';
import { executionErrorOf } from '../../core/player/levels.ts';
import { impactsOf } from '../../core/sound/impacts.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { Calibrator } from './calibrationProtocol.ts';

/** So much of the work is done when the table is found. */
const FITTED = 0.9;

const errorsOf = ({ readings }: GuidedShot, isHeard: boolean) =>
  readings.map((reading) => errorOf(reading, isHeard ? BY_EAR : BY_HAND));

const calibrator: Calibrator = {
  calibrate({ on, level, read }, onShare) {
    const table = tableOfCard(on.card, on.conditions);
    const cues = [...new Set(read.map(({ cue }) => cue ?? NO_NAMED_CUE))];
    const unknowns = unknownsOf(table.preset, cues);
    const guided = guidedShots(table);
    const played = read.flatMap(({ id, cue, isHeard, times }): PlayedShot[] => {
      const shot = guided.find((each) => each.id === id);
      if (shot === undefined) return [];
      return [
        {
          guided: shot,
          cue: cue ?? NO_NAMED_CUE,
          errors: errorsOf(shot, isHeard),
          times: times.map((each) => each.map((value) => value ?? undefined)),
        },
      ];
    });
    const error = executionErrorOf(level, table.preset.game);
    const fit = fitTable(table, unknowns, played, error, { onShare: (share) => onShare(FITTED * share) });
    const offered = guided.map((shot) => ({
      guided: shot,
      cue: cues[0] ?? NO_NAMED_CUE,
      errors: errorsOf(shot, false),
    }));
    return Promise.resolve({
      unknowns,
      fit,
      leftOut: errorsLeftOut(table, unknowns, played, fit, error),
      next: mostTelling(table, unknowns, offered, fit, error),
    });
  },
  pockets(on, level) {
    const table = tableOfCard(on.card, on.conditions);
    const error = executionErrorOf(level, table.preset.game);
    return Promise.resolve(POCKET_KINDS.map((kind) => pocketModel(table, kind, error)));
  },
  listen(on, id, { samples, rate }) {
    const shot = guidedShots(tableOfCard(on.card, on.conditions)).find((each) => each.id === id);
    if (shot === undefined) return Promise.reject(new RangeError(`there is no guided shot "${id}"`));
    const { impacts } = impactsOf(samples, rate);
    const foretold = simulate(shot.shot, { paths: true });
    return Promise.resolve(
      timesHeard(
        shot,
        foretold,
        impacts.map(({ at }) => at),
      ),
    );
  },
};

expose(calibrator);
