import { guidedShots } from '../../core/calibration/guidedShots.ts';
import { guidedError } from '../../core/calibration/madeUp.ts';
import { BY_HAND, errorOf, readOff } from '../../core/calibration/reading.ts';
import { NO_NAMED_CUE, tableWith, unknownsOf, type TableUnknown } from '../../core/calibration/unknowns.ts';
import { simulate } from '../../core/motion/simulate.ts';
import { executed } from '../../core/player/execute.ts';
import { executionErrorOf } from '../../core/player/levels.ts';
import type { Random } from '../../core/random/random.ts';
import type { CalibrationDocument } from '../../core/records/calibration.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { DemoTable } from './tables.ts';

/** A calibration of the demo: what its table really was that day, as shares of what its card says; 1 where nothing is told. */
interface DemoCalibration {
  readonly table: string;
  readonly daysAgo: number;
  readonly found: Readonly<Partial<Record<TableUnknown, number>>>;
}

/** One table that stays as it is, and one whose cloth has become slow over the summer. */
export const DEMO_CALIBRATIONS: readonly DemoCalibration[] = [
  { table: 'Pool room, table 4', daysAgo: 180, found: { rollingFriction: 1.02, cushionRestitution: 0.995 } },
  { table: 'Pool room, table 4', daysAgo: 96, found: { rollingFriction: 0.98, cushionRestitution: 1.004 } },
  { table: 'Pool room, table 4', daysAgo: 12, found: { rollingFriction: 1, cushionFriction: 1.08 } },
  { table: 'Snooker room, table 2', daysAgo: 150, found: { rollingFriction: 0.97 } },
  { table: 'Snooker room, table 2', daysAgo: 9, found: { rollingFriction: 1.33 } },
];

/** So much of what was open before is left open, a share. */
const LEFT_OPEN = 0.2;
const AGAIN = 0.1;
const TIMES = 3;
const LEVEL = 'team';
const DIGITS = 3;

/** The document of a calibration: its shots played on the table as it was, read with tape and watch. */
export function demoCalibration(
  { card }: DemoTable,
  { found }: DemoCalibration,
  random: Random,
): CalibrationDocument {
  const table = tableOfCard(card, null);
  const unknowns = unknownsOf(table.preset, [NO_NAMED_CUE]);
  // No calibration finds quite the same as the one before.
  const values = unknowns.map(
    ({ name, before, spread }) =>
      (name === 'endMass' ? before : before * (found[name] ?? 1)) + AGAIN * spread * random.uniform(),
  );
  const real = tableWith(table, unknowns, values, NO_NAMED_CUE);
  const error = guidedError(executionErrorOf(LEVEL, table.preset.game));
  const read = guidedShots(table).map(({ id, shot, readings }) => ({
    id,
    cue: null,
    isHeard: false,
    times: Array.from({ length: TIMES }, () => {
      const result = simulate(executed({ ...shot, table: real }, error, random), { paths: true });
      return readings.map((reading) => {
        const value = readOff(result, reading);
        return value === undefined
          ? null
          : Number((value + errorOf(reading, BY_HAND) * random.normal()).toFixed(DIGITS));
      });
    }),
  }));
  return {
    level: LEVEL,
    read,
    found: unknowns.map(({ name, before, spread }, i) => ({
      name,
      cue: null,
      before,
      value: values[i] ?? before,
      deviation: LEFT_OPEN * spread,
      isTold: true,
    })),
    leftOut: null,
  };
}
