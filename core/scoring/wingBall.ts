import type { WING_BALL } from '../records/breakLog.ts';
import type { BreakSum, WingCounts } from '../records/roundSums.ts';
import { wilson, Z_95, type ShareInterval } from '../statistics/wilson.ts';

export type WingBall = (typeof WING_BALL)[number];
/** How the wing ball misses its pocket. */
export type WingMiss = Exclude<WingBall, 'in'>;

const MISSES = ['high', 'low', 'knocked away'] as const satisfies readonly WingMiss[];
const HALF = 0.5;

/** No break of which somebody noted the wing ball. */
export const NO_WINGS: WingCounts = { in: 0, high: 0, low: 0, 'knocked away': 0 };

/** Counts of the wing ball, added up. */
export function addWings(counts: readonly WingCounts[]): WingCounts {
  const total = (name: WingBall) => counts.reduce((sum, each) => sum + each[name], 0);
  return {
    in: total('in'),
    high: total('high'),
    low: total('low'),
    'knocked away': total('knocked away'),
  };
}

/** What became of the wing ball in the breaks of which it was noted. */
export interface WingRecord {
  readonly noted: number;
  readonly in: ShareInterval;
  /** In the order of WING_BALL, without those that fell. */
  readonly misses: readonly { readonly way: WingMiss; readonly count: number }[];
  /** The way that more than half of the misses go, where that is no chance (the whole 95 % interval lies above a half). */
  readonly tends: WingMiss | undefined;
}

/** Adds up what was noted of the wing ball; undefined where nothing was. */
export function wingRecord(breaks: readonly BreakSum[]): WingRecord | undefined {
  const counts = addWings(breaks.flatMap(({ wings }) => wings ?? []));
  const misses = MISSES.map((way) => ({ way, count: counts[way] }));
  const missed = misses.reduce((sum, { count }) => sum + count, 0);
  const noted = missed + counts.in;
  if (noted === 0) return undefined;
  const most = misses.reduce((best, each) => (each.count > best.count ? each : best));
  const isSure = missed > 0 && wilson(most.count, missed, Z_95).low > HALF;
  return { noted, in: wilson(counts.in, noted), misses, tends: isSure ? most.way : undefined };
}
