import { toRadians } from '../math/angle.ts';
import { borderOf } from '../math/roots.ts';
import type { Shot } from '../motion/shot.ts';
import type { Situation } from './situation.ts';
import type { TurnEnd } from './turnEnd.ts';
import { TurnJudge } from './turnJudge.ts';

/** By how much a stroke may be off and still ends as planned: a pot, or a leave of the same grade. */
export interface AnswerTolerance {
  /** Of the line, radians to either side, ≥ 0. */
  readonly left: number;
  readonly right: number;
  /** Of the pace, as shares, ≥ 0. */
  readonly softer: number;
  readonly harder: number;
}

/** Looked at in these steps, as far as that: radians, and shares of the pace; borders are found to a tenth of a step. */
const LINE = { step: toRadians(0.1), most: toRadians(6) } as const;
const PACE = { step: 0.02, most: 0.5 } as const;

/** How far one can go from 0 while something holds. */
function reach(
  holds: (off: number) => boolean,
  { step, most }: { readonly step: number; readonly most: number },
) {
  let last = 0;
  while (last + step <= most && holds(last + step)) last += step;
  return last + step > most ? most : borderOf(holds, last, last + step, step / 10);
}

/**
 * How far line and pace of an answer may be off, each alone, until it ends otherwise than planned, by chances of plain
 * geometry.
 * @throws RangeError without a ball that is on
 */
export function answerTolerance(
  situation: Situation,
  { shot, planned }: { readonly shot: Shot; readonly planned: Pick<TurnEnd, 'kind'> },
): AnswerTolerance {
  const judge = new TurnJudge(situation, true);
  const { strike } = shot;
  const endsSo = (change: Partial<typeof strike>) =>
    judge.endOf({ ...shot, strike: { ...strike, ...change } }).kind === planned.kind;
  const turned = (off: number) => endsSo({ direction: strike.direction + off });
  const paced = (off: number) => endsSo({ speed: strike.speed * (1 + off) });
  return {
    left: reach(turned, LINE),
    right: reach((off) => turned(-off), LINE),
    softer: reach((off) => paced(-off), PACE),
    harder: reach(paced, PACE),
  };
}
