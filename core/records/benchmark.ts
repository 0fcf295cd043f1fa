import { type InferType, array, boolean, mixed, object, string } from 'yup';
import { RESULT_UNITS } from '../counting/result.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { MISSING, UNKNOWN, choice, count, finite } from './fields.ts';

/** Sums of shares may be a little off. */
const LARGEST = 1.000001;
const share = () => finite().min(0, '${path} must be at least 0').max(LARGEST, '${path} must be at most 1');

/** In one look: a distribution has up to ten thousand entries, and each one's own checks add up. */
const isNumbers = (value: unknown): value is number[] => Array.isArray(value) && value.every(Number.isFinite);

export const levelBenchmarkSchema = object({
  level: string().strict().required(MISSING).oneOf(LEVEL_NAMES, '${path} is not a level'),
  /** Share of the shots that pot the ball and keep the cue ball; null where whole rounds were played. */
  potted: share().nullable().defined(MISSING),
  /** Probability of each score of a whole round, from 0 up. */
  round: mixed<number[]>({ check: isNumbers })
    .typeError('${path} must be a list of shares')
    .required(MISSING)
    .test('length', '${path} must hold 2 to 10001 shares', ({ length }) => length >= 2 && length <= 10_001)
    .test('shares', '${path} must hold shares from 0 to 1', (round) =>
      round.every((p) => p >= 0 && p <= LARGEST),
    )
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
