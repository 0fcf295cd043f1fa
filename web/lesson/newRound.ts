import { countLadderByRacks } from '../../core/counting/ladderByRacks.ts';
import { ladderStartOf } from '../../core/drill/ladderStart.ts';
import { roundProgress } from '../../core/drill/round.ts';
import type { Round } from '../../core/records/round.ts';
import type { Drill } from '../../core/records/drill.ts';

/** The result of a round of which nothing is played. @param drill as it is played at the stage */
export function firstResult(drill: Drill, stage: number): Round['result'] {
  const { value, unit, better, maximum, complete, censored } = roundProgress(drill, stage, []).result;
  return { value, unit, better, maximum, complete, censored };
}

/** The rung at which the next round of a ladder begins: where the last complete one of this stage ended. */
export function nextRung(drill: Drill, rounds: readonly Round[], stage: number): number {
  const { scoring } = drill;
  if (scoring.method !== 'ladder-by-racks') return 0;
  const last = rounds.findLast(
    (round) => round.drill === drill.slug && round.stage === stage && round.result.complete,
  );
  if (last === undefined) return 0;
  const racks = last.attempts.map(({ counted }) => ({ cleared: counted.done }));
  const start = ladderStartOf(drill, last.ladderStart);
  return countLadderByRacks(racks, { ...scoring, start }).nextStart;
}
