import type { TableUnknown } from './unknowns.ts';

/** Landings of a player with one planned stroke, against the plan's landing: how many, the sum of how far they were long, of its squares, m. */
export interface LandingSums {
  readonly player: string;
  /** Whether it was at the table that is asked about. */
  readonly isHere: boolean;
  /** How far the cue ball goes after the hit as planned, metres. */
  readonly way: number;
  readonly count: number;
  readonly along: number;
  readonly alongSquared: number;
}

/** That all stop longer or shorter at a table than the same players elsewhere. */
export interface LandingDrift {
  /** A share of the way, + long; and its standard deviation. */
  readonly along: number;
  readonly deviation: number;
  /** Whose landings were compared, and how many of them are off to the same side. */
  readonly players: number;
  readonly alike: number;
  /** Landings at this table. */
  readonly landings: number;
  /** Sure enough, far enough, and of enough players: it is the table. */
  readonly isTold: boolean;
}

/** A player counts with so many landings at the table and as many elsewhere. */
const LEAST_LANDINGS = 8;
/** The same player's own mean wanders by so much of the way from week to week: our own estimate. */
const WANDERS = 0.01;
/** On a shorter way an error is not one of the cloth, metres. */
const SHORTEST_WAY = 0.5;
/** It is told from so many players on, of whom so many are off to the same side, beyond so many deviations and so much of the way. */
const LEAST_PLAYERS = 3;
const ALIKE = 0.75;
const SURE = 2.6;
const FAR = 0.02;

/**
 * Whether a table has drifted, by landings: every player is compared with themselves elsewhere, so that a good month is nobody's
 * cloth, and the differences are put together by their weights (a mean with random effects, DerSimonian and Laird 1986, with a
 * spread that is given). A cloth adds to a long way more than to a short one, so errors are taken as shares of the planned way.
 * @returns undefined where no player has landings both here and elsewhere
 */
export function driftByLandings(sums: readonly LandingSums[]): LandingDrift | undefined {
  const far = sums.filter(({ way }) => way >= SHORTEST_WAY);
  const differences = [...new Set(far.map(({ player }) => player))].flatMap((player) => {
    const own = far.filter((each) => each.player === player);
    const here = meanOf(own.filter(({ isHere }) => isHere));
    const elsewhere = meanOf(own.filter(({ isHere }) => !isHere));
    if (here === undefined || elsewhere === undefined) return [];
    const variance = here.variance + elsewhere.variance + WANDERS ** 2;
    return [{ along: here.mean - elsewhere.mean, variance, landings: here.count }];
  });
  if (differences.length === 0) return undefined;
  const weight = differences.reduce((sum, { variance }) => sum + 1 / variance, 0);
  const along = differences.reduce((sum, each) => sum + each.along / each.variance, 0) / weight;
  const deviation = Math.sqrt(1 / weight);
  const players = differences.length;
  const alike = differences.filter((each) => each.along * along > 0).length;
  return {
    along,
    deviation,
    players,
    alike,
    landings: differences.reduce((sum, each) => sum + each.landings, 0),
    isTold:
      players >= LEAST_PLAYERS &&
      alike >= ALIKE * players &&
      Math.abs(along) >= Math.max(FAR, SURE * deviation),
  };
}

function meanOf(sums: readonly LandingSums[]) {
  const count = sums.reduce((sum, each) => sum + each.count, 0);
  if (count < LEAST_LANDINGS) return undefined;
  const mean = sums.reduce((sum, each) => sum + each.along / each.way, 0) / count;
  const squares = sums.reduce((sum, each) => sum + each.alongSquared / each.way ** 2, 0);
  return { count, mean, variance: Math.max(0, squares - count * mean * mean) / (count - 1) / count };
}

/** A number as a calibration found it. */
export interface FoundNumber {
  readonly name: TableUnknown | 'endMass';
  readonly value: number;
  readonly deviation: number;
}

/** A number that is another one now. */
export interface NumberDrift {
  readonly name: TableUnknown;
  readonly from: number;
  readonly to: number;
}

/** Two calibrations differ by more than this many deviations of their difference: once in a hundred by chance. */
const DIFFERS = 2.6;

/** Which numbers of a table have changed from one calibration to a later one by more than either leaves open. */
export function driftBetween(
  before: readonly FoundNumber[],
  after: readonly FoundNumber[],
): readonly NumberDrift[] {
  return after.flatMap(({ name, value, deviation }): NumberDrift[] => {
    const old = before.find((each) => each.name === name);
    if (old === undefined || name === 'endMass') return [];
    const differs = Math.abs(value - old.value) > DIFFERS * Math.hypot(deviation, old.deviation);
    return differs ? [{ name, from: old.value, to: value }] : [];
  });
}
