import type { RoundResult } from './result.ts';
import type { ClearAttempt } from './attemptsToClear.ts';

export interface LadderByRacksSettings {
  /** Ball counts of the rungs, growing. */
  readonly rungs: readonly number[];
  /** Rung at which this round starts, from 0. */
  readonly start: number;
  /** w of n racks pass a rung. */
  readonly wins: number;
  readonly of: number;
}

export interface LadderTally extends RoundResult {
  /** Rung that is played now, or at which the round ended, from 0. */
  readonly rung: number;
  /** Racks won and lost on it. */
  readonly won: number;
  readonly lost: number;
  /** Rung at which the next round starts: the last one passed. */
  readonly nextStart: number;
}

/**
 * w of n racks move up a rung, n − w + 1 losses end the round; so does passing the top. The value is the ball count of
 * the last rung passed, 0 below the first; whoever fails the rung at which the round started falls back by one.
 */
export function countLadderByRacks(
  attempts: readonly ClearAttempt[],
  { rungs, start, wins, of }: LadderByRacksSettings,
): LadderTally {
  const failsAt = of - wins + 1;
  let rung = start;
  let won = 0;
  let lost = 0;
  let over = false;
  for (const { cleared } of attempts) {
    if (cleared) won++;
    else lost++;
    if (lost >= failsAt) {
      over = true;
      break;
    }
    if (won < wins) continue;
    if (rung === rungs.length - 1) {
      over = true;
      break;
    }
    rung++;
    won = 0;
    lost = 0;
  }
  const atTop = over && lost < failsAt;
  const passed = atTop ? rung : rung - 1;
  return {
    value: passed < 0 ? 0 : (rungs[passed] ?? 0),
    unit: 'rung',
    better: 'high',
    maximum: rungs.at(-1) ?? 0,
    complete: over,
    censored: false,
    rung,
    won,
    lost,
    nextStart: Math.max(0, passed),
  };
}

/**
 * The chance of passing a rung at which each rack is cleared with chance p: w wins before n − w + 1 losses, the last
 * rack a win. For two of three it is p²·(3 − 2p).
 */
export function passChance(p: number, wins: number, of: number): number {
  let chance = 0;
  let ways = 1;
  for (let lost = 0; lost <= of - wins; lost++) {
    // The last rack is a win; the losses lie anywhere among those before it.
    if (lost > 0) ways = (ways * (wins - 1 + lost)) / lost;
    chance += ways * p ** wins * (1 - p) ** lost;
  }
  return chance;
}
