import { LEVELS } from '../player/levels.ts';
import type { Distribution } from '../statistics/distribution.ts';
import { groupBy } from '../statistics/groupBy.ts';
import { LEVEL_MOTION } from './levelMotion.ts';
import { highestDensity, LEVEL_GRID, LevelFilter, quantileOf } from '../statistics/levelFilter.ts';

/** A complete round as far as a rating needs it. */
export interface RatedRound {
  /** When it was played, days. */
  readonly day: number;
  /** A whole number from 0 up. */
  readonly score: number;
  /** How virtual players of the five levels score in such a round, on that table. */
  readonly levels: readonly Distribution[];
}

/** The level on the scale 0…100 whose virtual player explains some rounds best, as it is on the last day. */
export interface Rating {
  readonly rating: number;
  /** Ends of the 90 % interval. */
  readonly low: number;
  readonly high: number;
  readonly rounds: number;
}

/** What is assumed of somebody who has not played: mean and standard deviation of the rating. */
const ASSUMED = { mean: 45, deviation: 28 };
/** Share of rounds that no level explains: a slip in the book. */
const ASTRAY = 0.01;
/**
 * Share of the posterior that an interval holds. Steady players are inside more often than it says, those who rise or are in
 * some form less often: with this nine in ten of all are (`npm run truth -- ratings`).
 */
const HELD = 0.855;
/** Forms of the day: their standard deviation, rating points, and how often each is met. */
const FORMS = [
  { deviation: 0, share: 0.4 },
  { deviation: 6, share: 0.35 },
  { deviation: 10, share: 0.25 },
];
/** Farther from its level than so many deviations nobody's form is. */
const FORM_REACH = 2.5;

const log = (p: number) => Math.log(Math.max(1e-300, p));

/** A distribution of which no score is impossible. */
function softened(levels: Distribution): Distribution {
  return levels.map((p) => (1 - ASTRAY) * p + ASTRAY / levels.length);
}

/**
 * The logarithm of the chance of each score at a rating: between two levels the scores' distributions are mixed
 * geometrically, p ∝ a^(1−t)·b^t, which moves from the one to the other without two humps; beyond the outermost levels
 * the same goes on.
 */
function logChancesAt(logs: readonly (readonly number[])[], rating: number): readonly number[] {
  const upper = LEVELS.findIndex((level, i) => i > 0 && (rating <= level.rating || i === LEVELS.length - 1));
  const [a, b] = [logs[upper - 1], logs[upper]];
  const [from, to] = [LEVELS[upper - 1], LEVELS[upper]];
  if (a === undefined || b === undefined || from === undefined || to === undefined) {
    throw new RangeError('rateRounds: a round needs the distributions of the five levels');
  }
  const t = (rating - from.rating) / (to.rating - from.rating);
  const mixed = a.map((p, value) => (1 - t) * p + t * (b[value] ?? log(0)));
  const most = Math.max(...mixed);
  const whole = most + Math.log(mixed.reduce((sum, each) => sum + Math.exp(each - most), 0));
  return mixed.map((each) => each - whole);
}

/** The chances of each score at each level of the grid, kept for levels that come again, as long as somebody has these. */
export class ChanceTables {
  readonly #tables = new WeakMap<readonly Distribution[], readonly (readonly number[])[]>();

  /** @param levels the same list each time, to be found again @throws RangeError when a level is missing */
  over(levels: readonly Distribution[]): readonly (readonly number[])[] {
    const known = this.#tables.get(levels);
    if (known !== undefined) return known;
    const logs = levels.map((level) => softened(level).map(log));
    const table = LEVEL_GRID.map((rating) => logChancesAt(logs, rating));
    this.#tables.set(levels, table);
    return table;
  }
}

/** What is seen on one day says of each level of the grid: logarithms of its likelihood. */
function logLikelihoodOf<T>(seen: readonly T[], logsOf: (one: T) => ArrayLike<number>): Float64Array {
  const sum = new Float64Array(LEVEL_GRID.length);
  for (const one of seen) {
    const logs = logsOf(one);
    for (let i = 0; i < sum.length; i++) sum[i] = sum[i]! + logs[i]!;
  }
  return sum;
}

/** How much each neighbour of a level has of a day's form, by their distance in steps of the grid. */
const FORM_WEIGHTS = formWeights();

function formWeights(): Float64Array {
  const step = LEVEL_GRID[1]! - LEVEL_GRID[0]!;
  const reach = Math.ceil((FORM_REACH * Math.max(...FORMS.map(({ deviation }) => deviation))) / step);
  const weights = new Float64Array(2 * reach + 1);
  for (const { deviation, share } of FORMS) {
    const own = weights.map((_, k) =>
      deviation === 0 ? Number(k === reach) : Math.exp(-0.5 * (((k - reach) * step) / deviation) ** 2),
    );
    const whole = own.reduce((sum, each) => sum + each, 0);
    own.forEach((each, k) => (weights[k] = weights[k]! + (share * each) / whole));
  }
  return weights;
}

/** The likelihood of a day on which the player is in some form around their level; the scale goes on beyond its ends. */
function withForm(likelihood: Float64Array): Float64Array {
  const [n, reach] = [likelihood.length, (FORM_WEIGHTS.length - 1) / 2];
  const blurred = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let sum = 0;
    for (let k = -reach; k <= reach; k++) {
      sum += FORM_WEIGHTS[k + reach]! * likelihood[Math.min(n - 1, Math.max(0, i + k))]!;
    }
    blurred[i] = sum;
  }
  return blurred;
}

/** Rounds longer ago than this are taken together for some days: what they say of today is not told better by each. */
const LONG_AGO_DAYS = 90;
const TOGETHER_DAYS = 3;

/** The day as whose a round is taken. */
function togetherWith(day: number, today: number): number {
  const whole = Math.floor(day);
  return today - whole <= LONG_AGO_DAYS ? whole : whole - (whole % TOGETHER_DAYS);
}

/**
 * Rates a player's rounds of one skill as the level is today: a state-space model of a level that moves and of a form of
 * the day, on a grid, from a normal prior (see LevelFilter). The interval is of highest density, so that it reaches the
 * ends of the scale.
 * @param rounds complete ones on tables and variants that the distributions are of
 * @param today days, as the rounds have them
 * @param tables of levels that come again, for whoever rates many players by the same drills
 * @returns undefined for no rounds
 * @throws RangeError when a round lacks a level
 */
export function rateRounds(
  rounds: readonly RatedRound[],
  today: number,
  tables = new ChanceTables(),
): Rating | undefined {
  return rateSeen(
    rounds,
    ({ levels, score }) =>
      tables.over(levels).map((chances) => chances[Math.min(score, chances.length - 1)] ?? log(0)),
    today,
  );
}

/**
 * The same of anything that is seen of a level on some days.
 * @param logsOf logarithms of the likelihood of one at each level of the grid, up to a constant
 * @returns undefined where nothing was seen
 */
export function rateSeen<T extends { readonly day: number }>(
  seen: readonly T[],
  logsOf: (one: T) => ArrayLike<number>,
  today: number,
): Rating | undefined {
  if (seen.length === 0) return undefined;
  const filter = new LevelFilter(LEVEL_MOTION, (level) =>
    Math.exp(-0.5 * ((level - ASSUMED.mean) / ASSUMED.deviation) ** 2),
  );
  const days = [...groupBy(seen, ({ day }) => togetherWith(day, today))].sort(([a], [b]) => a - b);
  for (const [day, own] of days) {
    const logs = logLikelihoodOf(own, logsOf);
    const most = Math.max(...logs);
    filter.passTo(day);
    filter.see(withForm(logs.map((value) => Math.exp(value - most))));
  }
  filter.passTo(today);
  const posterior = filter.belief().levels;
  const { low, high } = highestDensity(posterior, HELD);
  return { rating: quantileOf(posterior, 0.5), low, high, rounds: seen.length };
}
