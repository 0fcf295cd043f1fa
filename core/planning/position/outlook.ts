import { passingGap } from '../../shot/passing.ts';
import { assessStroke, type Assessment } from '../aftermath.ts';
import { foreseeInOff, foreseePass } from '../foresee.ts';
import { missSides } from '../missSide.ts';
import { FINE_STEP, ROUGH_STEP, solved } from './prepared.ts';
import type { PlannedStroke, PositionQuestion, ShotOutlook } from './question.ts';

/** Executions behind a verdict, and of the cloud that stands. */
const VERDICTS = 300;
const CLOUD = 1000;
/** A ball that the cue ball passes by more than this is not spoken of, metres. */
const NEAR_PASS = 0.09;

/** Where executions of a stroke end. @param executions 1 or more; @param seed same seed, same cloud */
export function cloudOf(
  question: PositionQuestion,
  stroke: PlannedStroke,
  executions: number,
  seed: number,
): Assessment | undefined {
  const found = solved(question, stroke, ROUGH_STEP);
  if (found.kind === 'no-way') return undefined;
  return assessStroke(found.shot, found.aims, found.worse, executions, seed);
}

/** What many executions of a stroke tell: the cloud, in-off or not, which balls it passes, the safer side to miss. */
export function outlookOf(
  question: PositionQuestion,
  stroke: PlannedStroke,
  seed: number,
): ShotOutlook | undefined {
  const found = solved(question, stroke, FINE_STEP);
  if (found.kind === 'no-way') return undefined;
  const { shot, aims, worse, others } = found;
  const passes = others
    .flatMap((ball) => {
      const gap = passingGap(shot, ball);
      return gap !== undefined && Math.abs(gap) < NEAR_PASS ? [{ ball, gap }] : [];
    })
    .sort((a, b) => Math.abs(a.gap) - Math.abs(b.gap))
    .slice(0, 3);
  return {
    cloud: assessStroke(shot, aims, worse, CLOUD, seed),
    inOff: foreseeInOff(shot, worse, VERDICTS, seed),
    passes: passes.map(({ ball }) => ({
      ball: ball.id,
      foresight: foreseePass(shot, ball, worse, VERDICTS, seed),
    })),
    misses: missSides(shot, aims, worse, VERDICTS, seed),
  };
}
