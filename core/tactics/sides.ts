import type { Shot } from '../motion/shot.ts';
import { errorAsCued } from '../player/asCued.ts';
import { executedWith, type Draws } from '../player/execute.ts';
import { latinDraws } from '../player/latinDraws.ts';
import { mean } from '../statistics/summary.ts';
import type { Situation } from './situation.ts';
import { worthOfEnd } from './turnEnd.ts';
import { TurnJudge } from './turnJudge.ts';

/** From this error on a stroke is off to one side, standard deviations. */
const OFF = 0.5;
/** Differences of means below so many standard errors say nothing. */
const TOLD_APART = 2.5;
/** What chose a stroke flatters it: it is told by executions that did not, the same errors for every stroke. */
export const FOR_GOOD = latinDraws(240, 73);

/** What errors to either side come to. */
export interface Sides {
  /** Mean worth of executions that are off to the left, or too soft. */
  readonly below: number;
  /** To the right, or too hard. */
  readonly above: number;
}

/**
 * Mean worth of the executions that are off by an error to either side.
 * @param worths of each of the draws FOR_GOOD @returns undefined where the two cannot be told apart
 */
export function sidesOf(worths: readonly number[], errorOf: (draws: Draws) => number): Sides | undefined {
  const side = (sign: number) => worths.filter((_, k) => sign * errorOf(FOR_GOOD[k]!) > OFF);
  const [low, high] = [side(-1), side(1)];
  const [below, above] = [mean(low), mean(high)];
  const spread = (values: readonly number[], middle: number) =>
    values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length * (values.length - 1));
  const noise = Math.sqrt(spread(low, below) + spread(high, above));
  return Math.abs(above - below) > TOLD_APART * noise ? { below, above } : undefined;
}

/** To which side a stroke's line is off: a line that turns anticlockwise goes to the left of the planned one. */
export const toTheRight = ({ line }: Draws) => -line;

/**
 * Plays a stroke with the player's errors: what is it worth when its line is off to the left (`below`), and to the right?
 * @returns undefined where the two cannot be told apart @throws RangeError without a ball that is on
 */
export function lineSides(situation: Situation, shot: Shot): Sides | undefined {
  const judge = new TurnJudge(situation);
  const own = errorAsCued(shot, situation.error);
  const worths = FOR_GOOD.map((draw) => worthOfEnd(judge.endOf(executedWith(shot, own, draw)), 0));
  return sidesOf(worths, toTheRight);
}
