import { wilson, Z_95 } from '../statistics/wilson.ts';
import { MISSED_WAYS, type KickAttempt, type MissedWay } from './kickScore.ts';

/** Called misses of some attempts, what they cost so far, and where they go. */
export interface Replays {
  readonly misses: number;
  /** Points that they gave away. */
  readonly points: number;
  /** The way that more than half of the told misses go, where that is no chance; undefined where it is not decided. */
  readonly drift: { readonly way: MissedWay; readonly count: number; readonly told: number } | undefined;
}

const HALF = 0.5;

/**
 * Sums up the called misses of some attempts. A drift is told when the whole 95 % interval of a way's share lies above one
 * half: four of four, not three.
 * @param penalty points of each called miss, ≥ 0
 */
export function replaysOf(
  attempts: readonly Pick<KickAttempt, 'repeats' | 'missed'>[],
  penalty: number,
): Replays {
  const misses = attempts.reduce((sum, { repeats }) => sum + repeats, 0);
  const counts = MISSED_WAYS.map((way) => ({
    way,
    count: attempts.reduce((sum, { missed }) => sum + (missed?.[way] ?? 0), 0),
  }));
  const told = counts.reduce((sum, { count }) => sum + count, 0);
  const most = counts.reduce((best, each) => (each.count > best.count ? each : best));
  const isSure = told > 0 && wilson(most.count, told, Z_95).low > HALF;
  return { misses, points: misses * penalty, drift: isSure ? { ...most, told } : undefined };
}
