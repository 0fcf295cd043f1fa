import type { Game } from '../table/preset.ts';

export const LEVEL_NAMES = ['first season', 'regular', 'team', 'match', 'title'] as const;
export type LevelName = (typeof LEVEL_NAMES)[number];

/** Raised whenever the table below or what virtual players do changes: benchmarks made with an older one are not reused. */
export const LEVEL_TABLE_VERSION = 5;

/** How far a player's execution strays from the plan: standard deviations of independent normal errors. */
export interface ExecutionError {
  /** Of the line on which the cue ball leaves, degrees. */
  readonly directionDeg: number;
  /** Share of the speed. */
  readonly speed: number;
  /** Of the tip's side and of its height, ball radii. */
  readonly tip: number;
  readonly elevationDeg: number;
}

interface Level {
  readonly name: LevelName;
  /** On the scale of ratings, 0…100. */
  readonly rating: number;
  readonly directionDeg: Readonly<Record<Game, number>>;
  readonly speed: number;
  readonly tip: number;
  readonly elevationDeg: number;
  /** Pots after the next one that such a player plans for: Infinity is to the end of the table. */
  readonly looksAhead: number;
}

/** The five levels, from which the errors of every rating follow. */
export const LEVELS: readonly Level[] = [
  {
    name: 'first season',
    rating: 10,
    directionDeg: { pool: 0.35, snooker: 0.25 },
    speed: 0.15,
    tip: 0.1,
    elevationDeg: 2,
    looksAhead: 0,
  },
  {
    name: 'regular',
    rating: 30,
    directionDeg: { pool: 0.18, snooker: 0.12 },
    speed: 0.1,
    tip: 0.07,
    elevationDeg: 1.5,
    looksAhead: 1,
  },
  {
    name: 'team',
    rating: 50,
    directionDeg: { pool: 0.1, snooker: 0.055 },
    speed: 0.07,
    tip: 0.05,
    elevationDeg: 1,
    looksAhead: 2,
  },
  {
    name: 'match',
    rating: 70,
    directionDeg: { pool: 0.055, snooker: 0.027 },
    speed: 0.05,
    tip: 0.03,
    elevationDeg: 0.7,
    looksAhead: Infinity,
  },
  {
    name: 'title',
    rating: 90,
    directionDeg: { pool: 0.03, snooker: 0.013 },
    speed: 0.03,
    tip: 0.02,
    elevationDeg: 0.5,
    looksAhead: Infinity,
  },
];

/**
 * The execution error of a rating: the levels' values, log-linear between them and beyond.
 * @param rating 0…100, other values are extrapolated
 */
export function executionErrorAt(rating: number, game: Game): ExecutionError {
  const upper = LEVELS.findIndex((level, i) => i > 0 && (rating <= level.rating || i === LEVELS.length - 1));
  const from = LEVELS[upper - 1]!;
  const to = LEVELS[upper]!;
  const share = (rating - from.rating) / (to.rating - from.rating);
  const between = (a: number, b: number) => a * Math.pow(b / a, share);
  return {
    directionDeg: between(from.directionDeg[game], to.directionDeg[game]),
    speed: between(from.speed, to.speed),
    tip: between(from.tip, to.tip),
    elevationDeg: between(from.elevationDeg, to.elevationDeg),
  };
}

/** The rating of a level, 0…100. */
export function ratingOf(name: LevelName): number {
  return LEVELS[LEVEL_NAMES.indexOf(name)]!.rating;
}

/** Pots after the next one that a level plans for; Infinity is to the end of the table. */
export function looksAheadOf(name: LevelName): number {
  return LEVELS[LEVEL_NAMES.indexOf(name)]!.looksAhead;
}

/** The execution error of a named level. */
export function executionErrorOf(name: LevelName, game: Game): ExecutionError {
  return executionErrorAt(ratingOf(name), game);
}
