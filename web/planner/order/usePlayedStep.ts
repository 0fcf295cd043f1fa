import { useMemo } from 'react';
import { simulate } from '../../../core/motion/simulate.ts';
import type { PlanStep } from '../../../core/planning/order/course.ts';
import { usePlayback } from '../../table/usePlayback.ts';

/** Plays a step of a plan as it is planned. */
export function usePlayedStep(step: PlanStep | undefined) {
  const played = useMemo(
    () => step && { shot: step.shot, result: simulate(step.shot, { paths: true }) },
    [step],
  );
  return usePlayback(played);
}
