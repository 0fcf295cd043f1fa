import { attemptsOf, roundProgress, type RoundProgress } from '../drill/round.ts';
import type { Round } from '../records/round.ts';
import type { StoredAttempt } from '../records/storedAttempt.ts';
import type { Counting } from './countAttempt.ts';

/** What a round is played by: its drill, its plan, where its ladder began. */
export interface Course {
  readonly counting: Counting;
  /** Rung at which a ladder of racks begins, from 0. */
  readonly ladderStart: number;
}

/** A round as far as it is scored. */
export interface ScoredSoFar {
  /** The attempts that stand, in order. */
  readonly attempts: readonly StoredAttempt[];
  /** When it ended, ISO 8601, and whether before its last attempt; null while it goes on. */
  readonly ended: { readonly at: string; readonly early: boolean } | null;
}

/** Where a round stands after some attempts. @param attempts in the order of play */
export function progressOf(
  { counting, ladderStart }: Course,
  attempts: readonly Pick<StoredAttempt, 'counted'>[],
): RoundProgress {
  return roundProgress(
    counting.drill,
    counting.stage,
    attempts.map(({ counted }) => counted),
    ladderStart,
  );
}

/** The result of a round as it is kept. */
export function resultIn({ result }: RoundProgress): Round['result'] {
  const { value, unit, better, maximum, complete, censored } = result;
  return { value, unit, better, maximum, complete, censored };
}

/** Attempts of the whole round, where that is known. */
export function attemptsIn({ counting }: Course): number | undefined {
  return attemptsOf(counting.drill);
}
