import type { BallOnTable } from '../../motion/shot.ts';
import type { PocketName } from '../../table/pockets.ts';
import type { OrderPlanner } from './planner.ts';

/** The best stroke at a ball. */
export interface BallAdvice {
  readonly ball: string;
  readonly pocket: PocketName;
  /** Of the pot, and of clearing from here on with it, 0…1. */
  readonly chance: number;
  readonly value: number;
}

/**
 * What a plan says of each ball that can be played from a place, the best ball first; none when no ball is on.
 * @param balls object balls as they lie now
 */
export function adviceAt<S>(
  planner: OrderPlanner<S>,
  state: S,
  cue: BallOnTable,
  balls: readonly BallOnTable[],
): readonly BallAdvice[] {
  const strokes = planner.strokes(state, cue, balls);
  const firsts = strokes.filter((stroke, i) => strokes.findIndex(({ ball }) => ball === stroke.ball) === i);
  return firsts
    .map((stroke) => planner.judged(state, stroke))
    .map(({ ball, pocket, chance, value }) => ({ ball, pocket, chance, value }))
    .sort((a, b) => b.value - a.value);
}

/**
 * What playing a ball instead of the best one gave up of the chance to clear, 0…1.
 * @returns undefined where the plan sees no stroke at that ball
 */
export function costOfChoice(advice: readonly BallAdvice[], played: string): number | undefined {
  const [best] = advice;
  const own = advice.find(({ ball }) => ball === played);
  return best === undefined || own === undefined ? undefined : best.value - own.value;
}
