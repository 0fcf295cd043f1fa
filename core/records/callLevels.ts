import { array, object, type InferType } from 'yup';
import { CALL_KINDS, DIFFICULTIES } from '../judgement/kinds.ts';
import { LEVEL_NAMES } from '../player/levels.ts';

import { choice, count, finite, MISSING, text, UNKNOWN } from './fields.ts';

const rowSchema = object({
  kind: choice(CALL_KINDS),
  game: choice(['pool', 'snooker']),
  difficulty: choice(DIFFICULTIES),
  modelVersion: text(20),
  levelVersion: count(1, 1_000_000),
  /** Positions that virtual players called. */
  positions: count(1, 1_000_000),
  /** Their mean score, level by level, 0…1. */
  scores: array(finite().min(0).max(1))
    .strict()
    .required(MISSING)
    .length(LEVEL_NAMES.length, '${path} needs a mean for each level'),
})
  .exact(UNKNOWN)
  .required();

/** How right virtual players call in one kind of question of one difficulty. */
export type CallLevelRow = InferType<typeof rowSchema>;

/** The rows of a table's file, a line each. @throws ValidationError or SyntaxError for a line that is none */
export function parseCallLevels(file: string): readonly CallLevelRow[] {
  return file
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => rowSchema.validateSync(JSON.parse(line)));
}
