import { LEVELS } from '../player/levels.ts';
import { expectation, type Distribution } from '../statistics/distribution.ts';
import { groupBy } from '../statistics/groupBy.ts';
import { meanOf, LEVEL_GRID, LevelFilter, type Belief } from '../statistics/levelFilter.ts';
import { mean, median } from '../statistics/summary.ts';
import { COURSE_MOTION } from './levelMotion.ts';

/** A round's result on the scale of ratings. */
export interface ProgressPoint {
  /** When it was played, days. */
  readonly day: number;
  /** 0…100. */
  readonly rating: number;
}

/** How fast somebody moves, rating points a week, with its interval. */
export interface Slope {
  readonly slope: number;
  readonly low: number;
  readonly high: number;
}

/** Where somebody goes in a drill or a skill. */
export type Course = 'too few' | 'up' | 'down' | 'plateau' | 'open';

export interface Progress {
  readonly course: Course;
  /** Rating points a week; undefined for fewer than two days. */
  readonly slope: Slope | undefined;
  /** Back near the best after a slump. */
  readonly comeback: boolean;
  /** Rounds at the end that each beat the median of the five before them. */
  readonly streak: number;
}

const WEEK_DAYS = 7;
/** A course is told from so many rounds on; a plateau from so many days on. */
const LEAST_ROUNDS = 6;
const LEAST_DAYS = 42;
/**
 * So likely it has to be that somebody moves, or that they stay: set so that a rise and its end are both seen, which pull
 * against each other (`npm run truth -- trends`).
 */
const MOVES = 0.49;
const STAYS = 0.38;
/** Rounds that say how somebody plays at a time. */
const RECENT = 5;
/** A slump lies so far below the best of before, rating points; a comeback has won back this share of it. */
const SLUMP = 15;
const WON_BACK = 2 / 3;
/** A comeback is news for so many days. */
const NEWS_DAYS = 42;
/** A level that is known no better than this says nothing of a slump yet: standard deviation, rating points. */
const KNOWN = 7;
/** How far rounds scatter before any says so, rating points, and for how many rounds this counts. */
const ASSUMED_NOISE = { deviation: 10, rounds: 3 };
const LEAST_NOISE = 2;
/** How likely a day is that has nothing to do with the level: outliers are no surprise. */
const ASTRAY = 1e-4;
/** A difference of so many medians of them is an outlier. */
const OUTLYING = 4;
/** What of the slopes lies on either side of their interval: it holds 90 %. */
const TAIL = 0.05;

/**
 * What a score is on the scale of ratings: the rating whose expected score it is, straight between the levels and
 * beyond the outermost ones as far as 0 and 100.
 * @param levels how virtual players of the five levels score
 */
export function ratingOfScore(score: number, levels: readonly Distribution[]): number {
  return ratingScale(levels)(score);
}

/** The same for many scores against the same levels: what the levels expect is worked out once. */
export function ratingScale(levels: readonly Distribution[]): (score: number) => number {
  const means = levels.map(expectation);
  const last = LEVELS.length - 1;
  // Where fewer is better the means fall with the level: they are turned round.
  const sign = (means[last] ?? 0) < (means[0] ?? 0) ? -1 : 1;
  // Means of simulated rounds scatter: a level is never taken for worse than the one below it.
  const expected = means.map((_, i) => Math.max(...means.slice(0, i + 1).map((mean) => sign * mean)));
  return (score) => {
    const value = sign * score;
    const upper = expected.findIndex((mean, i) => i > 0 && (value <= mean || i === last));
    const [a, b] = [expected[upper - 1] ?? 0, expected[upper] ?? 0];
    const [from, to] = [LEVELS[upper - 1]?.rating ?? 0, LEVELS[upper]?.rating ?? 0];
    // Levels that score alike say nothing of who is better: the middle between them.
    const t = b === a ? 0.5 : (value - a) / (b - a);
    return Math.min(100, Math.max(0, from + t * (to - from)));
  };
}

function streakOf(points: readonly ProgressPoint[]): number {
  let streak = 0;
  for (let i = points.length - 1; i >= RECENT; i--) {
    const before = points.slice(i - RECENT, i).map(({ rating }) => rating);
    if ((points[i]?.rating ?? 0) <= median(before)) break;
    streak++;
  }
  return streak;
}

/** The rounds of a day together, or of some days in a row. */
interface DayPoint {
  readonly day: number;
  readonly rating: number;
  /** How far their mean scatters, against a single round. */
  readonly scatter: number;
}

/** How much rounds near each other are alike, as one in the same form: correlation. */
const ALIKE = 0.3;
/** More days than this are taken together, two or more at a time: a year is not told better by each of them. */
const MOST_DAYS = 100;

/** Days with the mean of their rounds: form is the day's. */
function byDay(points: readonly ProgressPoint[]): readonly DayPoint[] {
  const [first, last] = [points[0]?.day ?? 0, points.at(-1)?.day ?? 0];
  const together = Math.max(1, Math.ceil((last - first) / MOST_DAYS));
  const days = groupBy(points, ({ day }) => Math.floor(day / together));
  return [...days.values()]
    .map((own) => ({
      day: mean(own.map(({ day }) => day)),
      rating: mean(own.map(({ rating }) => rating)),
      scatter: Math.sqrt((1 + ALIKE * (own.length - 1)) / own.length),
    }))
    .sort((a, b) => a.day - b.day);
}

/** How far rounds scatter about a level that hardly moves from day to day, rating points: outliers are cut short. */
function noiseOf(days: readonly DayPoint[]): number {
  const differences = days.slice(1).map(({ rating, scatter }, i) => {
    const before = days[i] ?? { rating, scatter };
    return Math.abs(rating - before.rating) / Math.hypot(scatter, before.scatter);
  });
  const { deviation, rounds } = ASSUMED_NOISE;
  const n = differences.length;
  const longest = n === 0 ? 0 : Math.max(LEAST_NOISE, OUTLYING * median(differences));
  const squares = differences.reduce((sum, each) => sum + Math.min(each, longest) ** 2, 0);
  return Math.max(LEAST_NOISE, Math.sqrt((squares + rounds * deviation ** 2) / (n + rounds)));
}

/** How likely a day's rating is at each level of the grid. */
function likelihoodOf(rating: number, noise: number): Float64Array {
  const likelihood = new Float64Array(LEVEL_GRID.length);
  for (let i = 0; i < likelihood.length; i++) {
    const off = (rating - LEVEL_GRID[i]!) / noise;
    likelihood[i] = ASTRAY + Math.exp(-0.5 * off * off);
  }
  return likelihood;
}

/** Goes through the days with what is believed of the level after each. */
function believe(days: readonly DayPoint[], after: (belief: () => Belief) => void): Belief {
  const noise = noiseOf(days);
  const filter = new LevelFilter(COURSE_MOTION, () => 1);
  for (const { day, rating, scatter } of days) {
    filter.passTo(day);
    filter.see(likelihoodOf(rating, noise * scatter));
    after(() => filter.belief());
  }
  return filter.belief();
}

/** Slopes that go with a course; any go with one that is open. */
const goesWith = (course: Course, slope: number) =>
  course === 'up' ? slope > 0 : course === 'down' ? slope < 0 : true;

/**
 * The slope, if the course is right, with its interval, points a week: each of the slopes stands for the stretch around it.
 */
function slopeOf({ slopes }: Belief, course: Course): Slope {
  const values = COURSE_MOTION.slopes;
  const shares = values.map((value, i) => (goesWith(course, value) ? (slopes[i] ?? 0) : 0));
  const whole = shares.reduce((sum, p) => sum + p, 0);
  const edges = values.map((value, i) => (i === 0 ? value : (value + (values[i - 1] ?? value)) / 2));
  const quantile = (share: number) => {
    let below = 0;
    for (const [i, p] of shares.entries()) {
      if (p > 0 && below + p >= share * whole) {
        const [from, to] = [edges[i] ?? 0, edges[i + 1] ?? values[i] ?? 0];
        return from + ((share * whole - below) / p) * (to - from);
      }
      below += p;
    }
    return values.at(-1) ?? 0;
  };
  const slope = shares.reduce((sum, p, i) => sum + p * (values[i] ?? 0), 0) / whole;
  const week = (value: number) => WEEK_DAYS * value;
  return { slope: week(slope), low: week(quantile(TAIL)), high: week(quantile(1 - TAIL)) };
}

/** What is said for what is believed of the slope. */
function courseBy(points: readonly ProgressPoint[], belief: Belief): Course {
  if (points.length < LEAST_ROUNDS) return 'too few';
  const share = (holds: (slope: number) => boolean) =>
    COURSE_MOTION.slopes.reduce((sum, slope, i) => sum + (holds(slope) ? (belief.slopes[i] ?? 0) : 0), 0);
  if (share((slope) => slope > 0) >= MOVES) return 'up';
  if (share((slope) => slope < 0) >= MOVES) return 'down';
  const days = (points.at(-1)?.day ?? 0) - (points[0]?.day ?? 0);
  return days >= LEAST_DAYS && share((slope) => slope === 0) >= STAYS ? 'plateau' : 'open';
}

/** Looks for somebody who has lately won back most of a slump: by the level that is believed in, not by single rounds. */
class Slump {
  #best = -Infinity;
  #fall = 0;
  #lowest = 0;
  #backAt: number | undefined;

  /** Takes in what is believed after the next day. */
  follow({ day, levels }: Belief): void {
    const { mean: level, deviation } = meanOf(levels);
    if (deviation > KNOWN) return;
    // What is no news any more is forgotten, with its slump.
    if (this.#backAt !== undefined && day - this.#backAt > NEWS_DAYS) {
      [this.#best, this.#fall, this.#backAt] = [level, 0, undefined];
    }
    this.#best = Math.max(this.#best, level);
    if (this.#best - level > this.#fall) [this.#fall, this.#lowest] = [this.#best - level, level];
    const isBack = this.#fall >= SLUMP && level >= this.#lowest + WON_BACK * this.#fall;
    this.#backAt = isBack ? (this.#backAt ?? day) : undefined;
  }

  get isOver(): boolean {
    return this.#backAt !== undefined;
  }
}

/**
 * Where somebody goes now, by a level that may drift and whose slope may change (see LevelFilter): up or down
 * when half of what is believed says so, from six rounds on; else a plateau, from six weeks on, when it is nearly as likely.
 * @param points oldest first
 */
export function courseOf(points: readonly ProgressPoint[]): Course {
  if (points.length < LEAST_ROUNDS) return 'too few';
  return courseBy(
    points,
    believe(byDay(points), () => undefined),
  );
}

/**
 * The course (see courseOf) with its slope, whether it is a comeback, and how many rounds beat those before. A comeback is
 * news for six weeks, and none for somebody who goes down.
 * @param points oldest first
 */
export function progressIn(points: readonly ProgressPoint[]): Progress {
  const days = byDay(points);
  if (days.length < 2)
    return { course: 'too few', slope: undefined, comeback: false, streak: streakOf(points) };
  const slump = new Slump();
  const last = believe(days, (belief) => slump.follow(belief()));
  const course = courseBy(points, last);
  return {
    course,
    slope: slopeOf(last, course),
    comeback: course !== 'down' && slump.isOver,
    streak: streakOf(points),
  };
}
