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

/** A row as a line of the table's file: shares in few digits. */
export function benchmarkLine(row: BenchmarkTableRow): string {
  return JSON.stringify(row, (_, value: unknown) =>
    typeof value === 'number' && !Number.isInteger(value) ? Number(value.toPrecision(DIGITS)) : value,
  );
}

const isFields = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

/** Shares that were rounded sum to one again. */
function restored(value: unknown): unknown {
  if (!isFields(value) || !isFields(value['benchmark'])) return value;
  const { levels } = value['benchmark'];
  if (!Array.isArray(levels)) return value;
  const whole = (shares: readonly unknown[]) => shares.reduce((sum: number, p) => sum + Number(p), 0);
  return {
    ...value,
    benchmark: {
      ...value['benchmark'],
      levels: levels.map((level: unknown) => {
        if (!isFields(level) || !Array.isArray(level['round'])) return level;
        const shares: readonly unknown[] = level['round'];
        const sum = whole(shares);
        return { ...level, round: shares.map((p) => Number(p) / sum) };
      }),
    },
  };
}

/** The rows of a table's file, a line each. @throws ValidationError or SyntaxError for a line that is none */
export function parseBenchmarkTable(file: string): readonly BenchmarkTableRow[] {
  return file
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => rowSchema.validateSync(restored(JSON.parse(line))));
}
