import type { RoundResult } from '../counting/result.ts';
import { countLadderByRacks } from '../counting/ladderByRacks.ts';
import type { AttemptOutcome } from '../drill/round.ts';
import type { Drill } from '../records/drill.ts';
import { wilson } from '../statistics/wilson.ts';

/** What to do after a round: always a proposal, never done by itself. */
export interface Advice {
  readonly kind: 'stage up' | 'stage back' | 'harder' | 'easier' | 'rung' | 'stay';
  /** Stage of the next round. */
  readonly stage: number;
  /** In a sentence. */
  readonly reason: string;
}

/** A round as far as advice needs it. */
export interface PlayedRound {
  readonly stage: number;
  /** Rung at which its ladder of racks began, from 0. */
  readonly ladderStart: number;
  readonly result: Pick<RoundResult, 'value' | 'maximum' | 'better' | 'complete' | 'censored'>;
  readonly attempts: readonly AttemptOutcome[];
}

/** Rounds of the stage that are looked at, the newest ones. */
const ROUNDS = 3;
/** A stage is passed when the share of attempts that are done surely lies above, failed when it surely lies below. */
const PASSED = 0.6;
const FAILED = 0.3;
/** Standard normal quantile of the agreed confidence: 80 % one-sided. */
const Z = 0.8416;

/** How much of a round was done, of 1: what points it got of the most, or how many attempts were made. */
function shareOf({ result, attempts }: PlayedRound): { readonly done: number; readonly of: number } {
  if (result.better === 'high' && result.maximum !== null && result.maximum > 0 && attempts.length > 0) {
    return { done: (result.value / result.maximum) * attempts.length, of: attempts.length };
  }
  return { done: attempts.filter(({ done }) => done).length, of: attempts.length };
}

/** Something that makes a stage harder or easier without another stage. */
function changeAtTheEnd(drill: Drill, up: boolean): string {
  const { task, conditions } = drill;
  if (up) {
    if (task.kind === 'position' || task.kind === 'land') return 'a smaller target, or farther away';
    if (task.kind === 'clear') {
      return conditions.includes('no cushion') ? 'one ball more' : 'one condition more: no cushion';
    }
    return 'the same from the other side';
  }
  if (conditions.length > 0) return `one condition less: without “${conditions.at(-1) ?? ''}”`;
  if (task.kind === 'position' || task.kind === 'land') return 'a larger target, or nearer';
  if (task.kind === 'clear') return 'one ball less';
  return 'the plainest of the positions alone';
}

/**
 * What to play next after some rounds of a drill: a ladder goes on where it ended; else a stage up when the stage is
 * passed, back when it is failed, both at 80 % confidence by the last rounds of the stage (Wilson's interval).
 * @param drill as it is played at the stage
 * @param rounds complete rounds of this drill, the newest last
 */
export function adviceAfter(drill: Drill, stage: number, rounds: readonly PlayedRound[]): Advice {
  const last = rounds.at(-1);
  if (last === undefined) return { kind: 'stay', stage, reason: 'no round is complete yet' };
  const { scoring } = drill;
  if (scoring.method === 'ladder-by-racks') {
    const cleared = last.attempts.map(({ done }) => ({ cleared: done }));
    const { nextStart } = countLadderByRacks(cleared, {
      ...scoring,
      start: last.ladderStart,
    });
    return {
      kind: 'rung',
      stage,
      reason: `the next round begins with ${scoring.rungs[nextStart] ?? 0} balls`,
    };
  }
  const recent = rounds.filter((round) => round.stage === stage).slice(-ROUNDS);
  let [done, of] = [0, 0];
  for (const round of recent) {
    const share = shareOf(round);
    done += share.done;
    of += share.of;
  }
  if (of === 0) return { kind: 'stay', stage, reason: 'nothing was played at this stage yet' };
  const { low, high } = wilson(Math.round(done), of, Z);
  const shown = `${Math.round((100 * done) / of)} % in the last ${of} attempts`;
  if (low >= PASSED) {
    return stage < drill.stages.length
      ? { kind: 'stage up', stage: stage + 1, reason: `${shown}: one stage up` }
      : { kind: 'harder', stage, reason: `${shown}: ${changeAtTheEnd(drill, true)}` };
  }
  if (high <= FAILED) {
    return stage > 1
      ? { kind: 'stage back', stage: stage - 1, reason: `${shown}: one stage back` }
      : { kind: 'easier', stage, reason: `${shown}: ${changeAtTheEnd(drill, false)}` };
  }
  return { kind: 'stay', stage, reason: `${shown}: once more at this stage` };
}
