import { BREAK_KIND, type CallKind, type Difficulty } from '../judgement/kinds.ts';
import { poseFromSeed } from '../judgement/pose.ts';
import type { CallQuestion } from '../judgement/question.ts';
import type { Table } from '../table/table.ts';
import { poseBreak } from './breaks/poseBreak.ts';

/**
 * Makes up a position of any kind and difficulty, also of those in which virtual players break.
 * @param seed same seed, same position
 * @returns undefined when none was found among so many tries
 */
export function poseCall(
  table: Table,
  kind: CallKind,
  difficulty: Difficulty,
  seed: number,
): CallQuestion | undefined {
  return kind === BREAK_KIND
    ? poseBreak(table, difficulty, seed)
    : poseFromSeed(table, kind, difficulty, seed);
}
