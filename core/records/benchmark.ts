import { array, object, string, type InferType } from 'yup';
import { LEVEL_NAMES } from '../player/levels.ts';
import { count, finite } from './fields.ts';

const share = () => finite().min(0, '${path} must be at least 0').max(1.000001, '${path} must be at most 1');

const levelBenchmarkSchema = object({
  level: string().strict().required('${path} is missing').oneOf(LEVEL_NAMES, '${path} is not a level'),
  /** Share of the shots that pot the ball and keep the cue ball. */
  potted: share(),
  /** Probability of each score of a whole round, from 0 up. */
  round: array(share())
    .required('${path} is missing')
    .min(2, '${path} is too short')
    .max(10_001, '${path} is too long')
    .test(
      'sum',
      '${path} must sum to 1',
      (round) => Math.abs(round.reduce((sum, p) => sum + p, 0) - 1) < 1e-6,
    ),
}).exact('${path} has the unknown field ${properties}');

/** How virtual players of the five levels do in a drill. */
export const benchmarkSchema = object({
  executions: count(1, 1_000_000),
  levels: array(levelBenchmarkSchema)
    .required('${path} is missing')
    .test(
      'levels',
      '${path} must hold the five levels in order',
      (levels) =>
        LEVEL_NAMES.every((name, i) => levels[i]?.level === name) && levels.length === LEVEL_NAMES.length,
    ),
})
  .exact('${path} has the unknown field ${properties}')
  .required();

export type Benchmark = InferType<typeof benchmarkSchema>;
export type LevelBenchmark = Benchmark['levels'][number];
