import type { ExecutionError } from '../player/levels.ts';
import { createRandom } from '../random/random.ts';
import type { Table } from '../table/table.ts';
import { featuresOf, scalesOf } from './features.ts';
import { guidedError, playAll, type PlayedShot } from './madeUp.ts';
import {
  correlationsOf,
  deviationsOf,
  likelyGiven,
  underStandardPrior,
  type Box,
  type Likely,
} from './regression.ts';
import { valueOf, type Unknown } from './unknowns.ts';

/** What was found of the unknowns. */
export interface Fit {
  /** One for each unknown, SI: the middle of what is likely, and between which values it lies nine times in ten. */
  readonly values: readonly number[];
  readonly low: readonly number[];
  readonly high: readonly number[];
  /** Standard deviation, SI, of a normal distribution with an interval as wide. */
  readonly deviations: readonly number[];
  /** Mean, and the share of what was open before that is left open, in standard deviations of what was known before (`valueOf`). */
  readonly at: readonly number[];
  readonly open: readonly number[];
  /** How they go together, −1…1. */
  readonly correlations: readonly (readonly number[])[];
  /** What the others say without one of the shots that were played, in their order: values as above; none of a single shot. */
  readonly without: readonly (readonly number[])[];
}

/** Half of a 90 % interval of a normal distribution, in standard deviations. */
const Z_90 = 1.645;
/** Made-up tables of a round; each round draws its tables nearer to what the one before found. */
const TABLES = 900;
const ROUNDS = 3;
/** The tables of a later round are drawn so many times as wide as what the round before left open. */
const WIDER = 2;
/** After so many tables the share is told. */
const TOLD = 50;
export interface FitSettings {
  readonly seed?: number;
  readonly tables?: number;
  readonly onShare?: (share: number) => void;
}

/**
 * Finds the numbers of a table from guided shots. The same shots are played by the same player on hundreds of made-up tables,
 * drawn from what is known before, and read with the same errors; by regression what was read says which of the tables it was.
 * So what a stroke is off by, a pace that is nobody's twice, and a ball that does not arrive need no model of their own.
 * @param table as its card has it @param player errors of whoever played
 * @param settings seed of the made-up tables, how many a round has, and who is told the share that is done, 0…1
 * @throws RangeError where nothing was played
 */
export function fitTable(
  table: Table,
  unknowns: readonly Unknown[],
  played: readonly PlayedShot[],
  player: ExecutionError,
  { seed = 1, tables = TABLES, onShare = () => undefined }: FitSettings = {},
): Fit {
  if (played.every(({ times }) => times.length === 0)) throw new RangeError('fitTable: nothing was played');
  const shots = played.filter(({ times }) => times.length > 0);
  const scales = shots.map(({ times, errors }) => scalesOf(times, errors));
  const own = shots.map(({ times }, k) => featuresOf(times, scales[k] ?? []));
  const error = guidedError(player);
  const random = createRandom(seed);
  // In standard deviations of what was known before; each round draws from nearer about what is likely, wide enough to hold it.
  let box: Box = { centres: unknowns.map(() => 0), widths: unknowns.map(() => 1) };
  let found: Likely = { means: box.centres, covariance: [], ends: [] };
  let without: readonly Likely[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const draws: (readonly number[])[] = [];
    const features: (readonly (readonly number[])[])[] = [];
    for (let n = 0; n < tables; n++) {
      const draw = unknowns.map((_, i) => (box.centres[i] ?? 0) + (box.widths[i] ?? 1) * random.normal());
      const values = unknowns.map((unknown, i) => valueOf(unknown, draw[i] ?? 0));
      const read = playAll(table, unknowns, values, shots, error, random);
      draws.push(draw);
      features.push(read.map((times, k) => featuresOf(times, scales[k] ?? [])));
      if (n % TOLD === 0) onShare((round + n / tables) / ROUNDS);
    }
    const drawn = box;
    const likelyBy = (shotsAsked: (k: number) => boolean) => {
      const of = (each: readonly (readonly number[])[]) => each.filter((_, k) => shotsAsked(k)).flat();
      return underStandardPrior(likelyGiven(draws, features.map(of), of(own)), drawn);
    };
    found = likelyBy(() => true);
    if (round === ROUNDS - 1 && shots.length > 1)
      without = shots.map((_, left) => likelyBy((k) => k !== left));
    const deviations = deviationsOf(found);
    box = { centres: found.means, widths: deviations.map((each) => Math.min(1, WIDER * each)) };
  }
  const open = deviationsOf(found);
  const valuesOf = ({ means }: Likely) => unknowns.map((unknown, i) => valueOf(unknown, means[i] ?? 0));
  const endOf = (side: 0 | 1) =>
    unknowns.map((unknown, i) =>
      valueOf(unknown, (found.means[i] ?? 0) + (found.ends[i]?.[side] ?? 0) * (open[i] ?? 1)),
    );
  const [low, high] = [endOf(0), endOf(1)];
  return {
    values: valuesOf(found),
    low,
    high,
    deviations: high.map((value, i) => (value - (low[i] ?? 0)) / (2 * Z_90)),
    at: found.means,
    open,
    correlations: correlationsOf(found),
    without: without.map(valuesOf),
  };
}
