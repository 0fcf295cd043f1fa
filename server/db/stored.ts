import { LRUCache } from 'lru-cache';
import { ValidationError } from 'yup';
import { adviceChoiceSchema } from '../../core/records/advice.ts';
import { attemptLogSchema, countedSchema } from '../../core/records/attempt.ts';
import { benchmarkSchema } from '../../core/records/benchmark.ts';
import { calibrationDocumentSchema } from '../../core/records/calibration.ts';
import { callAnswerSchema, callSourceSchema } from '../../core/records/call.ts';
import { keptOverviewSchema } from '../../core/records/clubOverview.ts';
import { clubRulesSchema } from '../../core/records/clubRules.ts';
import { conditionsSchema } from '../../core/records/conditions.ts';
import { cueDocumentSchema } from '../../core/records/cue.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { fixedBandsSchema } from '../../core/records/fixedBands.ts';
import { lessonDocumentSchema } from '../../core/records/lesson.ts';
import { keptAnswerSchema } from '../../core/records/programmeProposal.ts';
import { programmeDocumentSchema } from '../../core/records/programme.ts';
import { reportDocumentSchema } from '../../core/records/report.ts';
import { storedResultSchema } from '../../core/records/result.ts';
import { storedSumsSchema } from '../../core/records/roundSums.ts';
import { besideSchema, shownSchema } from '../../core/records/screen.ts';
import { tableCardSchema } from '../../core/records/tableCard.ts';
import { parseJson } from './json.ts';

/**
 * Documents in JSON columns. Each says by which version of its record it was written ("v", 1 where nothing is said); one
 * of an older version is brought up to the newest when it is read, step by step. Whoever changes a record so that what is
 * stored would not fit it any more adds a step here.
 */

type Fields = Readonly<Record<string, unknown>>;
type Step = (document: Fields) => Fields;

interface Kind<T> {
  readonly schema: { validateSync(value: unknown): T };
  /** What makes of a document of version i + 1 one of version i + 2. */
  readonly steps: readonly Step[];
}

const kind = <T>(schema: Kind<T>['schema'], steps: readonly Step[] = []): Kind<T> => ({ schema, steps });

/** Before whole rounds were played by virtual players, a benchmark was of single shots and in points. */
const inPoints: Step = (document) => ({ wholeRounds: false, unit: 'points', better: 'high', ...document });

const KINDS = {
  advice: kind(adviceChoiceSchema),
  answer: kind(callAnswerSchema),
  bands: kind(fixedBandsSchema),
  beside: kind(besideSchema),
  benchmark: kind(benchmarkSchema, [inPoints]),
  calibration: kind(calibrationDocumentSchema),
  card: kind(tableCardSchema),
  clubRules: kind(clubRulesSchema),
  conditions: kind(conditionsSchema),
  counted: kind(countedSchema),
  cue: kind(cueDocumentSchema),
  drill: kind(drillSchema),
  lesson: kind(lessonDocumentSchema),
  overview: kind(keptOverviewSchema),
  log: kind(attemptLogSchema),
  programme: kind(programmeDocumentSchema),
  programmeAnswer: kind(keptAnswerSchema),
  report: kind(reportDocumentSchema),
  result: kind(storedResultSchema),
  shown: kind(shownSchema),
  source: kind(callSourceSchema),
  sums: kind(storedSumsSchema),
} as const;

export type StoredName = keyof typeof KINDS;
type Value<N extends StoredName> = (typeof KINDS)[N] extends Kind<infer T> ? T : never;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A document as its newest version has it. */
function upToDate(steps: readonly Step[], value: unknown): unknown {
  if (!isFields(value)) return value;
  const { v = 1, ...document } = value;
  const newest = steps.length + 1;
  if (typeof v !== 'number' || !Number.isInteger(v) || v < 1 || v > newest) {
    throw new ValidationError('was written by a newer version of this program');
  }
  return steps.slice(v - 1).reduce<Fields>((older, step) => step(older), document);
}

/** Of what is read again and again with every page the newest are kept as they were read: nobody changes them. */
const OFTEN: readonly StoredName[] = ['clubRules', 'log', 'counted', 'result'];
const remembered = new LRUCache<string, object>({ max: 10_000 });

/** What a JSON column says, checked. @throws ValidationError or SyntaxError for one that is damaged */
export function fromStored<N extends StoredName>(name: N, column: unknown): Value<N> {
  const key = OFTEN.includes(name) && typeof column === 'string' ? `${name} ${column}` : undefined;
  const known = key === undefined ? undefined : remembered.get(key);
  const { schema, steps } = KINDS[name];
  const value = known ?? schema.validateSync(upToDate(steps, parseJson(column)));
  if (key !== undefined && known === undefined && typeof value === 'object') remembered.set(key, value);
  // The kinds are told apart by their name, which TypeScript does not follow through the table.
  return value as Value<N>;
}

/** A document as it is put into a JSON column. One of the first version says nothing of it, as those from before. */
export function toStored(name: StoredName, document: object): string {
  const version = KINDS[name].steps.length + 1;
  return JSON.stringify(version === 1 ? document : { ...document, v: version });
}

/** A kind as something that checks: what it takes, in whichever version, can be stored and read again. */
export const storedCheck = (name: StoredName) => ({
  validateSync: (value: unknown): unknown => fromStored(name, value),
});
