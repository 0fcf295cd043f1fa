import type { Drill } from '../records/drill.ts';
import { CUE_BALL } from './layout.ts';

/** What is needed to place a ball, the easiest first: a spot, a cushion to push it against, a rule, another ball. */
function effort({ id, at }: Drill['balls'][number]): number {
  if (id === CUE_BALL) return 4;
  if ('spot' in at && at.step === undefined) return 0;
  if ('frozen' in at) return 1;
  return 'beside' in at ? 3 : 2;
}

/** The ids of the placed balls in the order in which they are best set: the cue ball last, so that nothing is in its way. */
export function placingOrder({ balls }: Pick<Drill, 'balls'>): readonly string[] {
  return [...balls].sort((a, b) => effort(a) - effort(b)).map((ball) => ball.id);
}
