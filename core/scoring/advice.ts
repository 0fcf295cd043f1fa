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
  /** What speaks for it: "80 % done in the last 30 attempts"; empty where nothing was looked at. */
  readonly shown: string;
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

/** So many of so many. */
interface Share {
  readonly done: number;
  readonly of: number;
}

/** What rounds of a stage tell about it: shares that speak for a stage up and for one back, and what is said of them. */
interface Evidence {
  readonly passed: Share;
  /** What is not failed: a stage back is proposed where even this is rare. Undefined where nothing speaks for it. */
  readonly held: Share | undefined;
  readonly shown: string;
}

const sum = (values: readonly number[]) => values.reduce((all, each) => all + each, 0);
const percent = ({ done, of }: Share) => `${Math.round((100 * done) / of)} %`;
const times = (count: number, one: string) => (count === 1 ? `the last ${one}` : `the last ${count} ${one}s`);

/** By the share of the points, or balls, that were to be had. */
function byPoints(rounds: readonly PlayedRound[], what: string): Evidence {
  const of = sum(rounds.map(({ attempts }) => attempts.length));
  const done = sum(
    rounds.map(({ result, attempts }) => (result.value / (result.maximum ?? Infinity)) * attempts.length),
  );
  const share = { done, of };
  return {
    passed: share,
    held: share,
    shown: `${percent(share)} of the ${what} in ${times(of, 'attempt')}`,
  };
}

/** By the share of attempts that were done. */
function byAttempts(rounds: readonly PlayedRound[]): Evidence {
  const attempts = rounds.flatMap((round) => round.attempts);
  const share = { done: attempts.filter(({ done }) => done).length, of: attempts.length };
  return { passed: share, held: share, shown: `${percent(share)} done in ${times(share.of, 'attempt')}` };
}

/**
 * A ladder by single balls follows the player, so that about every second attempt is done whoever plays: what tells is
 * how far it was climbed.
 */
function bySingleLadder(
  rounds: readonly PlayedRound[],
  { start, top }: { readonly start: number; readonly top: number },
): Evidence {
  const reached = (balls: number) => ({
    done: rounds.filter(({ result }) => result.value >= balls).length,
    of: rounds.length,
  });
  const best = Math.max(...rounds.map(({ result }) => result.value));
  return {
    passed: reached(top),
    held: reached(start),
    shown: `up to ${best} of ${top} balls in ${times(rounds.length, 'round')}`,
  };
}

/** Of breaks only clearances tell that a layout has become too easy; a low one has many reasons. */
function byBreaks(rounds: readonly PlayedRound[]): Evidence {
  const visits = rounds.flatMap((round) => round.attempts);
  const cleared = visits.filter(({ done }) => done).length;
  const best = Math.max(...rounds.map(({ result }) => result.value));
  return {
    passed: { done: cleared, of: visits.length },
    held: undefined,
    shown: `a best break of ${best} and ${cleared} cleared in ${times(visits.length, 'visit')}`,
  };
}

/** What some rounds of one stage tell, by what the method counts. */
function evidenceOf({ scoring }: Drill, rounds: readonly PlayedRound[]): Evidence {
  switch (scoring.method) {
    case 'zone-points':
    case 'graded-contact':
    case 'break-score':
      return byPoints(rounds, 'points');
    case 'balls-made':
      return byPoints(rounds, 'balls');
    case 'ladder-by-single':
      return bySingleLadder(rounds, scoring);
    case 'break-points':
      return byBreaks(rounds);
    case 'attempts-to-clear':
    case 'lives':
    case 'ladder-by-racks':
    case 'clear-or-restart':
    case 'success-rate':
    case 'kick':
    case 'call-it':
    case 'streak':
      return byAttempts(rounds);
  }
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
  if (last === undefined) return { kind: 'stay', stage, shown: '', reason: 'no round is complete yet' };
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
      shown: '',
      reason: `the next round begins with ${scoring.rungs[nextStart] ?? 0} balls`,
    };
  }
  const recent = rounds.filter((round) => round.stage === stage).slice(-ROUNDS);
  if (recent.every(({ attempts }) => attempts.length === 0)) {
    return { kind: 'stay', stage, shown: '', reason: 'nothing was played at this stage yet' };
  }
  const { passed, held, shown } = evidenceOf(drill, recent);
  if (wilson(Math.round(passed.done), passed.of, Z).low >= PASSED) {
    return stage < drill.stages.length
      ? { kind: 'stage up', stage: stage + 1, shown, reason: `${shown}: one stage up` }
      : { kind: 'harder', stage, shown, reason: `${shown}: ${changeAtTheEnd(drill, true)}` };
  }
  if (held !== undefined && wilson(Math.round(held.done), held.of, Z).high <= FAILED) {
    return stage > 1
      ? { kind: 'stage back', stage: stage - 1, shown, reason: `${shown}: one stage back` }
      : { kind: 'easier', stage, shown, reason: `${shown}: ${changeAtTheEnd(drill, false)}` };
  }
  return { kind: 'stay', stage, shown, reason: `${shown}: once more at this stage` };
}
