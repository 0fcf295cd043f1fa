import { wilson, type ShareInterval } from '../statistics/wilson.ts';
import type { RoundResult } from './result.ts';

export const LEAVE_GRADES = ['nothing on', 'half a chance', 'wide open'] as const;
export type LeaveGrade = (typeof LEAVE_GRADES)[number];

export interface KickAttempt {
  readonly hit: boolean;
  /** Hit, and a ball then reached a cushion or a pocket where the rules ask for it. */
  readonly legal: boolean;
  /** How often the miss was called and the shot played again. */
  readonly repeats: number;
  readonly leave: LeaveGrade;
}

export interface KickSettings {
  readonly attempts: number;
  /** Points that a called miss gives away. */
  readonly penalty: number;
  /** Points that a leave is worth to the opponent on average. */
  readonly leaveCosts: Readonly<Record<LeaveGrade, number>>;
}

export interface KickTally extends RoundResult {
  readonly hits: ShareInterval;
  readonly legal: ShareInterval;
}

/** Points given away: the penalties over the repeats and what the leaves give. */
export function countKicks(attempts: readonly KickAttempt[], settings: KickSettings): KickTally {
  const counted = attempts.slice(0, settings.attempts);
  const given = counted.reduce(
    (sum, { repeats, leave }) => sum + repeats * settings.penalty + settings.leaveCosts[leave],
    0,
  );
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
