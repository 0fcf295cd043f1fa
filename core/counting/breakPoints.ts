import { mean } from '../statistics/summary.ts';
import type { RoundResult } from './result.ts';

export interface Visit {
  /** Points of the break. */
  readonly points: number;
  /** Penalty of the foul that ended it, 0 for none. */
  readonly penalty: number;
}

export interface BreakPointsSettings {
  readonly visits: number;
  readonly reds: number;
}

export interface BreakPointsTally extends RoundResult {
  /** Mean break; NaN before the first. */
  readonly mean: number;
  /** Given away by fouls. */
  readonly penalties: number;
}

/** Value of each ball; a red's name may go on with a number. */
const VALUES: Readonly<Record<string, number>> = {
  red: 1,
  yellow: 2,
  green: 3,
  brown: 4,
  blue: 5,
  pink: 6,
  black: 7,
};

const LEAST_PENALTY = 4;

/** Points of a ball by its name: "red 3" is a red. @throws RangeError for another name */
export function ballValue(id: string): number {
  const value = VALUES[id.split(' ')[0] ?? ''];
  if (value === undefined) throw new RangeError(`ballValue: ${id} is no ball of the set`);
  return value;
}

/** What a foul gives away: the highest of four and the values of the balls concerned. @param concerned the ball on, the one first hit, those potted */
export function foulPenalty(concerned: readonly string[]): number {
  return Math.max(LEAST_PENALTY, ...concerned.map(ballValue));
}

/** The highest break that a layout of so many reds with all colours allows: 147 for 15, 115 for 11, 51 for 3. */
export function breakMaximum(reds: number): number {
  return 8 * reds + 27;
}

/** The highest break of the visits; their mean and the penalties beside it. */
export function countBreakPoints(
  visits: readonly Visit[],
  { visits: most, reds }: BreakPointsSettings,
): BreakPointsTally {
  const counted = visits.slice(0, most);
  const points = counted.map((visit) => visit.points);
  return {
    value: Math.max(0, ...points),
    unit: 'points',
    better: 'high',
    maximum: breakMaximum(reds),
    complete: counted.length >= most,
    censored: false,
    mean: points.length === 0 ? NaN : mean(points),
    penalties: counted.reduce((sum, visit) => sum + visit.penalty, 0),
  };
}
