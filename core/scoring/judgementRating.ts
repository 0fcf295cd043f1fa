import { LEVEL_GRID } from '../statistics/levelFilter.ts';
import type { AskedCall, CallLevels } from './callLevels.ts';
import { rateSeen, type Rating } from './rating.ts';

/** A call as far as a rating needs it. */
export interface RatedCall extends AskedCall {
  /** When it was made, days. */
  readonly day: number;
  /** How right it was, 0…1. */
  readonly score: number;
}

/**
 * Judgement as a level on the scale from 0 to 100: the one whose virtual player calls as this player does. A score between
 * right and wrong counts as so much of either (L. Papke, J. Wooldridge, J. Appl. Econometrics 11, 1996). Calls of kinds
 * that no virtual player answers are left out.
 * @param today days, as the calls have them
 * @returns undefined for no calls that tell a level
 */
export function rateJudgement(
  calls: readonly RatedCall[],
  levels: CallLevels,
  today: number,
): Rating | undefined {
  const seen = calls.flatMap((call) => {
    const expected = levels.expected(call);
    return expected === undefined ? [] : [{ day: call.day, score: call.score, expected }];
  });
  return rateSeen(
    seen,
    ({ score, expected }) =>
      LEVEL_GRID.map((_, i) => score * Math.log(expected[i]!) + (1 - score) * Math.log(1 - expected[i]!)),
    today,
  );
}
