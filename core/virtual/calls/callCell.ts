import type { Difficulty } from '../../judgement/kinds.ts';
import { scoreCall } from '../../judgement/score.ts';
import type { CallQuestion } from '../../judgement/question.ts';
import { executionErrorOf, LEVELS } from '../../player/levels.ts';
import { createRandom } from '../../random/random.ts';
import type { Table } from '../../table/table.ts';
import { poseCall } from '../poseCall.ts';
import { LEVEL_KINDS, virtualCall, type LevelKind, type LevelQuestion } from './virtualCall.ts';

/** How right virtual players call in one kind of question of one difficulty. */
export interface CallCell {
  /** Positions that were asked: of some seeds none is found. */
  readonly positions: number;
  /** Mean score of each level, 0…1. */
  readonly scores: readonly number[];
}

/** Far apart, so that positions of one cell are not those of the trainers' first seeds. */
const SEED = 461_000;

export const isLevelKind = (kind: CallQuestion['kind']): kind is LevelKind =>
  LEVEL_KINDS.some((each) => each === kind);

function isLevelQuestion(question: CallQuestion): question is LevelQuestion {
  return isLevelKind(question.kind);
}

/**
 * Lets a virtual player of each level call the same positions.
 * @param count positions that are looked for, ≥ 1
 * @returns undefined where none is found, as for a question that a table does not have
 */
export function callCell(
  table: Table,
  kind: LevelKind,
  difficulty: Difficulty,
  count: number,
): CallCell | undefined {
  const sums = LEVELS.map(() => 0);
  let positions = 0;
  for (let k = 0; k < count; k++) {
    const question = poseCall(table, kind, difficulty, SEED + k);
    if (question === undefined || !isLevelQuestion(question)) continue;
    positions++;
    for (const [i, { name, looksAhead }] of LEVELS.entries()) {
      const error = executionErrorOf(name, table.preset.game);
      const random = createRandom(SEED + 97 * k + i);
      const answer = virtualCall({ error, looksAhead, random }, question, difficulty);
      sums[i] = (sums[i] ?? 0) + scoreCall(question, answer);
    }
  }
  return positions === 0 ? undefined : { positions, scores: sums.map((sum) => sum / positions) };
}
