import { LEVELS } from '../player/levels.ts';
import { expectation, type Distribution } from '../statistics/distribution.ts';
import { robustSlope, type Slope } from '../statistics/slope.ts';
import { mean, median } from '../statistics/summary.ts';
import { Z_90 } from '../statistics/wilson.ts';

/** A round's result on the scale of ratings. */
export interface ProgressPoint {
  /** When it was played, days. */
  readonly day: number;
  /** 0…100. */
  readonly rating: number;
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
/** A plateau is called from so many rounds over so many days, when the slope surely lies within this, points a week. */
const LEAST_ROUNDS = 6;
const LEAST_DAYS = 42;
const FLAT = 0.5;
/** What was long ago says little of where somebody goes now, days. */
const NEWEST_DAYS = 112;
/** Rounds that say how somebody plays at a time. */
const RECENT = 5;
/** A slump lies so far below the best of before, rating points; a comeback has won back this share of it. */
const SLUMP = 15;
const WON_BACK = 2 / 3;

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

/** A slope over this many points is taken over the means of weeks: pairs of all would be too many. */
const MOST_POINTS = 150;

/** Fewer weeks than this say less than the rounds themselves. */
const LEAST_WEEKS = 6;

const newestOf = (points: readonly ProgressPoint[]) => points.slice(-MOST_POINTS);

function byWeek(points: readonly ProgressPoint[]): readonly ProgressPoint[] {
  const weeks = new Map<number, ProgressPoint[]>();
  for (const point of points) {
    const week = Math.floor(point.day / WEEK_DAYS);
    weeks.set(week, [...(weeks.get(week) ?? []), point]);
  }
  return [...weeks.values()].map((own) => ({
    day: mean(own.map(({ day }) => day)),
    rating: mean(own.map(({ rating }) => rating)),
  }));
}

function medians(points: readonly ProgressPoint[]): readonly number[] {
  return points
    .map((_, i) => points.slice(Math.max(0, i - RECENT + 1), i + 1).map(({ rating }) => rating))
    .slice(RECENT - 1)
    .map((window) => median(window));
}

function isComeback(points: readonly ProgressPoint[]): boolean {
  const running = medians(points);
  const last = running.at(-1);
  if (last === undefined) return false;
  // The deepest fall from the best of before, and how deep it went.
  let best = -Infinity;
  let [fall, lowest] = [0, 0];
  for (const value of running) {
    if (value > best) best = value;
    if (best - value > fall) [fall, lowest] = [best - value, value];
  }
  return fall >= SLUMP && last >= lowest + WON_BACK * fall;
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

/** The slope of some points and what it says. */
function courseOf(points: readonly ProgressPoint[]): Pick<Progress, 'course' | 'slope'> {
  const days = (points.at(-1)?.day ?? 0) - (points[0]?.day ?? 0);
  // Many rounds of few weeks are taken as they are: their weeks would be too few for a slope.
  const weekly = points.length > MOST_POINTS ? byWeek(points) : points;
  const taken = weekly.length < LEAST_WEEKS ? newestOf(points) : weekly;
  const several = new Set(taken.map(({ day }) => day)).size > 1;
  const daily = several
    ? robustSlope(
        taken.map(({ day, rating }) => ({ at: day, value: rating })),
        Z_90,
      )
    : undefined;
  const slope = daily && {
    slope: daily.slope * WEEK_DAYS,
    low: daily.low * WEEK_DAYS,
    high: daily.high * WEEK_DAYS,
  };
  const enough = points.length >= LEAST_ROUNDS && days >= LEAST_DAYS;
  const course: Course =
    slope === undefined || points.length < LEAST_ROUNDS
      ? 'too few'
      : enough && slope.low >= -FLAT && slope.high <= FLAT
        ? 'plateau'
        : slope.low > 0
          ? 'up'
          : slope.high < 0
            ? 'down'
            : 'open';
  return { course, slope };
}

/**
 * Whether somebody gets better, by the robust slope with its 90 % interval; a plateau is called only when the slope
 * surely is within half a rating point a week, from at least six rounds over six weeks. The last sixteen weeks say it, if
 * they decide anything; else the whole time.
 * @param points oldest first
 */
export function progressIn(points: readonly ProgressPoint[]): Progress {
  const last = points.at(-1)?.day ?? 0;
  const newest = courseOf(points.filter(({ day }) => last - day <= NEWEST_DAYS));
  const decided = newest.course !== 'open' && newest.course !== 'too few';
  const { course, slope } = decided ? newest : courseOf(points);
  return { course, slope, comeback: isComeback(points), streak: streakOf(points) };
}
