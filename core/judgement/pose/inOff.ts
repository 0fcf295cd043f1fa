import { cueBallGone } from '../../shot/outcome.ts';
import { simulate } from '../../motion/simulate.ts';
import { foreseeInOff, type Verdict } from '../../planning/foresee.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { inOffMargin } from '../../shot/inOff.ts';
import type { Difficulty } from '../kinds.ts';
import type { CallQuestion } from '../question.ts';
import { EXECUTIONS, fits, SEED, type Poser } from './poser.ts';
import { randomPot, type Posed } from './randomPot.ts';

/** A pot after which the cue ball falls, or nearly does. */
export const poseInOff: Poser = (table, random, { difficulty, wanted }) => {
  const posed = randomPot(table, random);
  const margin = posed && inOffMargin(posed.shot);
  if (posed === undefined || margin === undefined) return undefined;
  if (difficulty !== 'hair-fine' && margin.falls !== (wanted === 'yes')) return undefined;
  return inOffOf(posed, difficulty);
};

/** Asks of a stroke whether the cue ball falls. @param difficulty undefined takes it as it is */
export function inOffOf(posed: Posed, difficulty: Difficulty | undefined): CallQuestion | undefined {
  const { table } = posed.shot;
  const seen = foreseeInOff(posed.shot, executionErrorOf('team', table.preset.game), EXECUTIONS, SEED);
  // What a team player's own scatter decides is asked at the top only.
  if (difficulty !== undefined && difficulty !== 'hair-fine' && seen.verdict === 'too close')
    return undefined;
  const { rest } = simulate(posed.shot, { events: false });
  const falls = cueBallGone(rest, posed.shot.strike.ball) !== undefined;
  const margin = (seen.marginMm ?? 1000) / 1000;
  // A cue ball that falls has little room: what counts as plain is less than for one that passes.
  const verdict: Verdict =
    difficulty === 'hair-fine' || difficulty === undefined ? seen.verdict : falls ? 'yes' : 'no';
  if (difficulty !== undefined && !fits(verdict, falls ? 3 * margin : margin, difficulty)) return undefined;
  return {
    kind: 'in-off or not',
    ...posed,
    truth: verdict,
    marginMm: seen.marginMm,
    near: seen.pocket,
    share: seen.share.share,
  };
}
