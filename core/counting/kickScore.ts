import { wilson, type ShareInterval } from '../statistics/wilson.ts';
import type { RoundResult } from './result.ts';

export const LEAVE_GRADES = ['nothing on', 'half a chance', 'wide open'] as const;
export type LeaveGrade = (typeof LEAVE_GRADES)[number];

/** Where a missed kick went, seen from behind the cue ball. */
export const MISSED_WAYS = ['left', 'right', 'short'] as const;
export type MissedWay = (typeof MISSED_WAYS)[number];

/** How many of an attempt's called misses went where; what was not told is in none of them. */
export type MissedWays = Readonly<Record<MissedWay, number>>;

export interface KickAttempt {
  readonly hit: boolean;
  /** Hit, and a ball then reached a cushion or a pocket where the rules ask for it. */
  readonly legal: boolean;
  /** How often the miss was called and the shot played again. */
  readonly repeats: number;
  /** Where those misses went, as far as it was told. */
  readonly missed?: MissedWays | undefined;
  readonly leave: LeaveGrade;
}

export interface KickSettings {
  readonly attempts: number;
  /** Points that a miss or a foul gives away, each time; 0 where it gives ball in hand instead. */
  readonly penalty: number;
  /** Points that a leave is worth to the opponent on average. */
  readonly leaveCosts: Readonly<Record<LeaveGrade, number>>;
}

export interface KickTally extends RoundResult {
  readonly hits: ShareInterval;
  readonly legal: ShareInterval;
}

/**
 * What one attempt gives away, points: a penalty for each called miss and for a last one that misses or is a foul, and
 * what the leave is worth; after a foul without a penalty the opponent has ball in hand, which is worth the best leave.
 */
export function givenAway(
  { hit, legal, repeats, leave }: KickAttempt,
  { penalty, leaveCosts }: Pick<KickSettings, 'penalty' | 'leaveCosts'>,
): number {
  const foul = !hit || !legal;
  const left = foul && penalty === 0 ? Math.max(...Object.values(leaveCosts)) : leaveCosts[leave];
  return (repeats + (foul ? 1 : 0)) * penalty + left;
}

/** Points given away over the attempts: by misses and fouls, and by the leaves. */
export function countKicks(attempts: readonly KickAttempt[], settings: KickSettings): KickTally {
  const counted = attempts.slice(0, settings.attempts);
  const given = counted.reduce((sum, attempt) => sum + givenAway(attempt, settings), 0);
  return {
    value: given,
    unit: 'points',
    better: 'low',
    maximum: 0,
    complete: counted.length >= settings.attempts,
    censored: false,
    hits: wilson(counted.filter((attempt) => attempt.hit).length, counted.length),
    legal: wilson(counted.filter((attempt) => attempt.hit && attempt.legal).length, counted.length),
  };
}
