import { array, boolean, object, string, type InferType } from 'yup';
import { RESULT_UNITS } from '../counting/result.ts';
import { LEVEL_NAMES } from '../player/levels.ts';
import { choice, count, finite, text, uuid } from './fields.ts';
import { resultSchema } from './round.ts';

const UNKNOWN = '${path} has the unknown field ${properties}';
const MISSING = '${path} is missing';
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

export const JOB_STATES = ['queued', 'running', 'done', 'cancelled', 'failed'] as const;

/** A benchmark that the server computes, or has computed, in the background. */
export const benchmarkJobSchema = object({
  id: uuid(),
  state: choice(JOB_STATES),
  /** Parts that are played, of all. */
  done: count(0, 10_000),
  parts: count(1, 10_000),
  /** Why it failed. */
  error: text(300).nullable().defined(),
}).required();
export type BenchmarkJob = InferType<typeof benchmarkJobSchema>;

/** The least results that reach each level, as the coach sets them; null for a level without one. */
export const fixedBandsSchema = object({
  from: array(finite().nullable().defined(MISSING))
    .required(MISSING)
    .length(LEVEL_NAMES.length, '${path} must hold five numbers, one a level'),
})
  .exact('${properties} is not a field of this request')
  .required();

/** What the club's players have scored in whole rounds. */
const clubResultsSchema = object({
  players: count(0, 1e6),
  rounds: count(0, 1e9),
  best: resultSchema.nullable().defined().default(null),
  /** A quarter of the rounds is worse than the first, half worse than the second, a quarter better than the third. */
  quartiles: array(resultSchema).required().max(3),
}).required();
export type ClubResults = InferType<typeof clubResultsSchema>;

export const benchmarkReplySchema = object({
  benchmark: benchmarkSchema.nullable().defined().default(null),
  job: benchmarkJobSchema.nullable().defined().default(null),
  /** Whether virtual players can play it at all. */
  playable: boolean().strict().required(),
  fixed: array(finite().nullable().defined()).nullable().defined().default(null),
  club: clubResultsSchema.nullable().defined().default(null),
}).required();
export type BenchmarkReply = InferType<typeof benchmarkReplySchema>;
