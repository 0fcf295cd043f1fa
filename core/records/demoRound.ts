import { array, object, string, type InferType } from 'yup';
import { LEVEL_NAMES } from '../player/levels.ts';
import { attemptLogSchema } from './attempt.ts';
import { choice, count, MISSING, slug, text, UNKNOWN } from './fields.ts';

const demoRoundSchema = object({
  drill: slug(),
  /** Of the text that was played. */
  digest: string()
    .strict()
    .required(MISSING)
    .matches(/^[0-9a-f]{64}$/, '${path} is not a digest'),
  tableFingerprint: text(500),
  modelVersion: text(20),
  levelVersion: count(1, 1_000_000),
  level: choice(LEVEL_NAMES),
  seed: count(1, 2 ** 31 - 1),
  /** What a coach would have entered, attempt by attempt. */
  logs: array(attemptLogSchema).required(MISSING).max(100, '${path} has at most 100 attempts'),
})
  .exact(UNKNOWN)
  .required();

/** A round of the demo club by a virtual player, as it ships. */
export type DemoRound = InferType<typeof demoRoundSchema>;

/** The rounds of a file, a line each. @throws ValidationError or SyntaxError for a line that is none */
export function parseDemoRounds(file: string): readonly DemoRound[] {
  return file
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => demoRoundSchema.validateSync(JSON.parse(line)));
}
