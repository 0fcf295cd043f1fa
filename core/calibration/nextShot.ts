import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import type { Table } from '../table/table.ts';
import { featuresOf, scalesOf, type Told } from './features.ts';
import type { Fit } from './fit.ts';
import { guidedError, playAll, type PlayedShot } from './madeUp.ts';
import { deviationsOf, likelyGiven } from './regression.ts';
import { valueOf, type Unknown } from './unknowns.ts';

/** What one more playing of a guided shot would tell. */
export interface NextShot {
  readonly id: string;
  /** The unknown that it narrows most, by its place among them, and to which share of what is open now, 0…1. */
  readonly narrows: number;
  readonly to: number;
}

/** Made-up tables that are drawn from what is likely now. */
const TABLES = 500;
/** What one more shot may seem to tell by chance. */
const NOTHING = 0.01;

/**
 * The guided shot that would tell most if it were played once more: the largest expected narrowing of all unknowns together, as the
 * sum of the logarithms of their deviations (D-optimal design without correlations; Chaloner and Verdinelli 1995). Each shot is
 * played on made-up tables that are likely now, and `likelyGiven` says what it would leave open.
 * @param shots all that are offered, with the errors of their readings; what was read does not matter
 * @param at what is known now, and `open` how far, both as the fit tells them @param player errors of whoever plays
 * @returns undefined where none would tell anything
 */
export function mostTelling(
  table: Table,
  unknowns: readonly Unknown[],
  shots: readonly Omit<PlayedShot, 'times'>[],
  { at, open }: Pick<Fit, 'at' | 'open'>,
  player: ExecutionError,
  { seed = 2, tables = TABLES } = {},
): NextShot | undefined {
  const random = createRandom(seed);
  const error = guidedError(player);
  // Every reading is asked for: none was left out of a shot that is still to come.
  const once = shots.map((shot) => ({ ...shot, times: [shot.guided.readings.map(() => 0)] }));
  const draws = Array.from({ length: tables }, () => unknowns.map(() => random.normal()));
  const read = draws.map((draw) =>
    playAll(
      table,
      unknowns,
      unknowns.map((unknown, i) => valueOf(unknown, (at[i] ?? 0) + (open[i] ?? 1) * (draw[i] ?? 0))),
      once,
      error,
      random,
    ),
  );
  let best: (NextShot & { readonly gain: number }) | undefined;
  shots.forEach(({ guided, errors }, k) => {
    const times = read.map((each): Told => each[k]?.[0] ?? []);
    const scales = scalesOf(times, errors);
    const features = times.map((each) => featuresOf([each], scales));
    // A reading in the middle of what is expected stands for all.
    const middle = featuresOf([scales.map((scale) => scale.middle)], scales);
    const left = deviationsOf(likelyGiven(draws, features, middle)).map((each) => Math.min(1, each));
    const gain = left.reduce((sum, each) => sum - Math.log(each), 0);
    const to = Math.min(...left);
    if (to < 1 - NOTHING && (best === undefined || gain > best.gain))
      best = { id: guided.id, narrows: left.indexOf(to), to, gain };
  });
  return best && { id: best.id, narrows: best.narrows, to: best.to };
}
