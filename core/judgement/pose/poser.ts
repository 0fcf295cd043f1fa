import type { Verdict } from '../../planning/foresee.ts';
import type { Random } from '../../random/random.ts';
import type { Table } from '../../table/table.ts';
import type { Difficulty, DifficultyRanges } from '../kinds.ts';
import type { CallQuestion } from '../question.ts';

/** Margins of a difficulty, metres: from `least` to `most` away from the border. */
export const MARGINS: DifficultyRanges = {
  plain: [0.06, 0.2],
  fair: [0.025, 0.09],
  close: [0.009, 0.04],
  'hair-fine': [0, 0.015],
};
/** Executions behind a verdict, always the same ones. */
export const EXECUTIONS = 200;
export const SEED = 77;

/** Too close to call is asked at the top difficulty only, and nothing else is there. */
export function fits(verdict: Verdict, margin: number, difficulty: Difficulty): boolean {
  const [least, most] = MARGINS[difficulty];
  if (margin < least || margin > most) return false;
  return difficulty === 'hair-fine' || verdict !== 'too close';
}

/** What is looked for: verdicts of yes and no come as often as each other. */
export interface Looked {
  readonly difficulty: Difficulty;
  readonly wanted: Verdict;
}

/** Makes up one position, or finds that this try is none. */
export type Poser = (table: Table, random: Random, looked: Looked) => CallQuestion | undefined;
