import { type InferType, array, boolean, object, string } from 'yup';
import { RESULT_UNITS } from '../counting/result.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { MISSING, UNKNOWN, choice, count, finite } from './fields.ts';

const share = () => finite().min(0, '${path} must be at least 0').max(1.000001, '${path} must be at most 1');

export const levelBenchmarkSchema = object({
  level: string().strict().required(MISSING).oneOf(LEVEL_NAMES, '${path} is not a level'),
  /** Share of the shots that pot the ball and keep the cue ball; null where whole rounds were played. */
  potted: share().nullable().defined(MISSING),
  /** Probability of each score of a whole round, from 0 up. */
  round: array(share())
    .required(MISSING)
    .min(2, '${path} is too short')
    .max(10_001, '${path} is too long')
    .test(
      'sum',
      '${path} must sum to 1',
      (round) => Math.abs(round.reduce((sum, p) => sum + p, 0) - 1) < 1e-6,
    ),
}).exact(UNKNOWN);

/** How virtual players of the five levels do in a drill. */
export const benchmarkSchema = object({
  /** Single executions a level, where a round is a sum of independent shots; else how many rounds were played. */
  executions: count(1, 1_000_000),
  /** Whether whole rounds were played, by the planner's choices. */
  wholeRounds: boolean().strict().default(false),
  unit: choice(RESULT_UNITS).default('points'),
  better: choice(['high', 'low']).default('high'),
  levels: array(levelBenchmarkSchema)
    .required(MISSING)
    .test(
      'levels',
      '${path} must hold the five levels in order',
      (levels) =>
        LEVEL_NAMES.every((name, i) => levels[i]?.level === name) && levels.length === LEVEL_NAMES.length,
    ),
})
  .exact(UNKNOWN)
  .required();

export type Benchmark = InferType<typeof benchmarkSchema>;

export type LevelBenchmark = Benchmark['levels'][number];
