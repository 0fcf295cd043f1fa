import { simulate } from '../motion/simulate.ts';
import { executed } from '../player/execute.ts';
import type { ExecutionError } from '../player/levels.ts';
import type { Random } from '../random/random.ts';
import type { Table } from '../table/table.ts';
import type { Told } from './features.ts';
import type { GuidedShot } from './guidedShots.ts';
import { readOff } from './reading.ts';
import { tableWith, type Unknown } from './unknowns.ts';

/** A guided shot as it was played, once or several times. */
export interface PlayedShot {
  readonly guided: GuidedShot;
  /** With which cue; undefined where nobody said. */
  readonly cue: string | undefined;
  /** What was read each time, in the order of the shot's readings. */
  readonly times: readonly Told[];
  /** Standard deviation of each reading, metres or seconds. */
  readonly errors: readonly number[];
}

/** A pace that is told in words is kept within so much, a share: our own estimate. */
const PACE_SPREAD = 0.2;

/** How a person plays guided shots: the paces are theirs, the rest as a player of a level. */
export function guidedError(error: ExecutionError): ExecutionError {
  return { ...error, speed: PACE_SPREAD };
}

/**
 * The shots as the player would play and read them on a table with some values of the unknowns.
 * @param values one for each unknown, SI @param error of whoever plays
 */
export function playAll(
  table: Table,
  unknowns: readonly Unknown[],
  values: readonly number[],
  shots: readonly PlayedShot[],
  error: ExecutionError,
  random: Random,
): readonly (readonly Told[])[] {
  const tables = new Map<string | undefined, Table>();
  return shots.map(({ guided, cue, times, errors }) => {
    const on = tables.get(cue) ?? tableWith(table, unknowns, values, cue);
    tables.set(cue, on);
    return times.map((read): Told => {
      const result = simulate(executed({ ...guided.shot, table: on }, error, random), { paths: true });
      return guided.readings.map((reading, i) => {
        const noise = (errors[i] ?? 0) * random.normal();
        const value = readOff(result, reading);
        // What was left out of the real shot is not read of the made-up one.
        return value === undefined || read[i] === undefined ? undefined : value + noise;
      });
    });
  });
}
