import { object, string, type InferType } from 'yup';
import { PRESET_IDS } from '../table/preset.ts';
import { benchmarkSchema } from './benchmark.ts';
import { choice, count, MISSING, slug, text, UNKNOWN } from './fields.ts';

const rowSchema = object({
  drill: slug(),
  stage: count(1, 9),
  /** Of the text that it was computed for. */
  digest: string()
    .strict()
    .required(MISSING)
    .matches(/^[0-9a-f]{64}$/, '${path} is not a digest'),
  /** The kind of table, as it comes. */
  table: choice(PRESET_IDS),
  modelVersion: text(20),
  levelVersion: count(1, 1_000_000),
  benchmark: benchmarkSchema,
})
  .exact(UNKNOWN)
  .required();

/** What virtual players score in a stage of a drill that ships, on the table that it was written for. */
export type BenchmarkTableRow = InferType<typeof rowSchema>;

/** Digits of a share that are kept. */
const DIGITS = 5;

/** Shares in few digits that sum to one: the likeliest takes what rounding leaves. */
function rounded(shares: readonly number[]): number[] {
  const few = shares.map((p) => Number(p.toPrecision(DIGITS)));
  const likeliest = few.indexOf(Math.max(...few));
  const others = few.reduce((sum, p, i) => (i === likeliest ? sum : sum + p), 0);
  return few.map((p, i) => (i === likeliest ? 1 - others : p));
}

/** A row as a line of the table's file. */
export function benchmarkLine(row: BenchmarkTableRow): string {
  const levels = row.benchmark.levels.map((level) => ({ ...level, round: rounded(level.round) }));
  return JSON.stringify({ ...row, benchmark: { ...row.benchmark, levels } });
}

/** The rows of a table's file, a line each. @throws ValidationError or SyntaxError for a line that is none */
export function parseBenchmarkTable(file: string): readonly BenchmarkTableRow[] {
  return file
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => rowSchema.validateSync(JSON.parse(line)));
}
