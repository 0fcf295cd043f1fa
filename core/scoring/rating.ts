import { LEVELS } from '../player/levels.ts';
import type { Distribution } from '../statistics/distribution.ts';

/** A complete round as far as a rating needs it. */
export interface RatedRound {
  /** When it was played, days. */
  readonly day: number;
  /** A whole number from 0 up. */
  readonly score: number;
  /** How virtual players of the five levels score in such a round, on that table. */
  readonly levels: readonly Distribution[];
}

/** The level on the scale 0…100 whose virtual player explains some rounds best. */
export interface Rating {
  readonly rating: number;
  /** Ends of the 90 % interval. */
  readonly low: number;
  readonly high: number;
  readonly rounds: number;
  /** Rounds' worth of what they say: recent ones weigh more. */
  readonly weight: number;
}

/** A round weighs half as much after so many days. */
export const HALF_LIFE_DAYS = 60;
/** What is assumed of somebody who has not played: mean and standard deviation of the rating. */
const ASSUMED = { mean: 45, deviation: 28 };
/** Ratings that are weighed up. */
const LOWEST = 0;
const HIGHEST = 100;
const STEP = 0.5;
/** Share of rounds that no level explains: a bad evening, a slip in the book. */
const ASTRAY = 0.01;
/** Mass on each side of the 90 % interval. */
const TAIL = 0.05;

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

/** Rounds of one kind: the weight of each score that was made. */
interface KindWeights {
  readonly levels: readonly Distribution[];
  readonly scores: Map<number, number>;
}

/** Rounds that were played for the same levels, scores alike together: a year has many of them. */
function byKind(rounds: readonly RatedRound[], weights: readonly number[]): readonly KindWeights[] {
  const kinds = new Map<readonly Distribution[], KindWeights>();
  rounds.forEach(({ levels, score }, i) => {
    const kind = kinds.get(levels) ?? { levels, scores: new Map<number, number>() };
    kinds.set(levels, kind);
    kind.scores.set(score, (kind.scores.get(score) ?? 0) + (weights[i] ?? 0));
  });
  return [...kinds.values()];
}

/** All ratings that are weighed up. */
const grid = Array.from({ length: (HIGHEST - LOWEST) / STEP + 1 }, (_, i) => LOWEST + i * STEP);
/** Levels with more scores than this take too much room to be kept. */
const MOST_KEPT = 64;

/** The chances of each score at each rating of the grid, kept for levels that come again, as long as somebody has these. */
export class ChanceTables {
  readonly #tables = new WeakMap<readonly Distribution[], readonly (readonly number[])[]>();

  /** @param levels the same list each time, to be found again @throws RangeError when a level is missing */
  over(levels: readonly Distribution[]): readonly (readonly number[])[] {
    const known = this.#tables.get(levels);
    if (known !== undefined) return known;
    const logs = levels.map((level) => softened(level).map(log));
    const table = grid.map((rating) => logChancesAt(logs, rating));
    if ((levels[0]?.length ?? 0) <= MOST_KEPT) this.#tables.set(levels, table);
    return table;
  }
}

/**
 * Rates a player's rounds of one skill: the posterior of the rating by Bayes over a grid, from a normal prior. A round
 * weighs by half for every 60 days of age; the weights are scaled to their effective number (L. Kish), so that old
 * rounds do not make the interval wider than what is left of them.
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
  if (rounds.length === 0) return undefined;
  const weights = rounds.map(({ day }) => 0.5 ** (Math.max(0, today - day) / HALF_LIFE_DAYS));
  const sum = weights.reduce((total, w) => total + w, 0);
  const squares = weights.reduce((total, w) => total + w * w, 0);
  const scale = sum / squares;
  const logPosterior = grid.map((rating) => -0.5 * ((rating - ASSUMED.mean) / ASSUMED.deviation) ** 2);
  for (const { levels, scores } of byKind(rounds, weights)) {
    tables.over(levels).forEach((chances, k) => {
      for (const [score, weight] of scores) {
        const chance = chances[Math.min(score, chances.length - 1)] ?? log(0);
        logPosterior[k] = (logPosterior[k] ?? 0) + scale * weight * chance;
      }
    });
  }
  const most = Math.max(...logPosterior);
  const mass = logPosterior.map((value) => Math.exp(value - most));
  const whole = mass.reduce((total, each) => total + each, 0);
  /** Where the mass from below reaches a share, straight within a step of the grid. */
  const at = (share: number) => {
    let below = 0;
    for (const [i, each] of mass.entries()) {
      const next = below + each / whole;
      if (next >= share) {
        const within = each === 0 ? 0 : (share - below) / (each / whole);
        return Math.min(HIGHEST, Math.max(LOWEST, (grid[i] ?? 0) + (within - 0.5) * STEP));
      }
      below = next;
    }
    return HIGHEST;
  };
  return {
    rating: at(0.5),
    low: at(TAIL),
    high: at(1 - TAIL),
    rounds: rounds.length,
    weight: (sum * sum) / squares,
  };
}
