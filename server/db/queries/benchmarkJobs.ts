import type { ResultSetHeader, RowDataPacket } from 'mysql2/promise';
import { array, object } from 'yup';
import { benchmarkJobSchema, type BenchmarkJob } from '../../../core/records/benchmarkJob.ts';
import { levelBenchmarkSchema } from '../../../core/records/benchmark.ts';
import { resultSchema } from '../../../core/records/result.ts';
import { conditionsSchema } from '../../../core/records/conditions.ts';
import { tableCardSchema } from '../../../core/records/tableCard.ts';
import type { TableCard } from '../../../core/table/card.ts';
import type { Conditions } from '../../../core/table/cardChoices.ts';
import type { PartResult } from '../../../core/virtual/benchmarkRounds.ts';
import { parseJson } from '../json.ts';
import type { Database } from '../pool.ts';
import {
  KEY_COLUMNS,
  KEY_IS,
  KEY_PLACES,
  keyOf,
  keyParts,
  type BenchmarkKey,
  type KeyRow,
} from './benchmarks.ts';

/** A job that nobody has touched for so long is another server's to go on with, seconds. */
const LEASE_S = 120;

/** The table that a job is computed for. */
const settingSchema = object({
  card: tableCardSchema,
  conditions: conditionsSchema.nullable().defined().default(null),
}).required();
export interface JobSetting {
  readonly card: TableCard;
  readonly conditions: Conditions | null;
}

const partSchema = object({
  results: array(resultSchema).nullable().defined().default(null),
  level: levelBenchmarkSchema.nullable().defined().default(null),
}).required();

interface JobRow extends RowDataPacket, KeyRow {
  id: string;
  setting: unknown;
  state: string;
  parts: number;
  done: number;
  error: string | null;
}

function jobOf({ id, state, done, parts, error }: JobRow): BenchmarkJob {
  return benchmarkJobSchema.validateSync({ id, state, done, parts, error });
}

/** The job for a key, if the club is among those that asked for it. */
export async function findJob(
  db: Database,
  key: BenchmarkKey,
  clubId: string,
): Promise<BenchmarkJob | undefined> {
  const [rows] = await db.execute<JobRow[]>(
    `SELECT j.* FROM benchmark_jobs j JOIN benchmark_askers a ON a.job_id = j.id
     WHERE ${KEY_IS} AND a.club_id = ?`,
    [...keyParts(key), clubId],
  );
  return rows[0] && jobOf(rows[0]);
}

/** Queues a job; one that is there already is queued again if it was cancelled or has failed, and keeps its
 * parts, or if what came of it is not there any more. */
export async function queueJob(
  db: Database,
  id: string,
  key: BenchmarkKey,
  job: { readonly setting: JobSetting; readonly parts: number; readonly clubId: string },
): Promise<void> {
  await db.execute(
    `INSERT INTO benchmark_jobs (id, ${KEY_COLUMNS}, setting, parts, queued_at)
     VALUES (?, ${KEY_PLACES}, ?, ?, UTC_TIMESTAMP(3))
     ON DUPLICATE KEY UPDATE error = IF(state IN ('cancelled', 'failed', 'done'), NULL, error),
       queued_at = IF(state IN ('cancelled', 'failed', 'done'), UTC_TIMESTAMP(3), queued_at),
       done = IF(state = 'done', 0, done), parts = VALUES(parts),
       state = IF(state IN ('cancelled', 'failed', 'done'), 'queued', state)`,
    [id, ...keyParts(key), JSON.stringify(job.setting), job.parts],
  );
  await db.execute(
    `INSERT INTO benchmark_askers (job_id, club_id) SELECT id, ? FROM benchmark_jobs WHERE ${KEY_IS}
     ON DUPLICATE KEY UPDATE job_id = job_id`,
    [job.clubId, ...keyParts(key)],
  );
}

/**
 * A club does not want a benchmark any more; where others wait for it too, it is computed for them.
 * @returns the job as it is left to the club; undefined for one that it has not asked for
 */
export async function cancelJob(
  db: Database,
  key: BenchmarkKey,
  clubId: string,
): Promise<BenchmarkJob | undefined> {
  const job = await findJob(db, key, clubId);
  if (job === undefined || !(job.state === 'queued' || job.state === 'running')) return job;
  const [others] = await db.execute<RowDataPacket[]>(
    'SELECT club_id FROM benchmark_askers WHERE job_id = ? AND club_id <> ? LIMIT 1',
    [job.id, clubId],
  );
  if (others.length > 0) {
    await db.execute('DELETE FROM benchmark_askers WHERE job_id = ? AND club_id = ?', [job.id, clubId]);
    return { ...job, state: 'cancelled' };
  }
  await db.execute<ResultSetHeader>(
    `UPDATE benchmark_jobs SET state = 'cancelled', lease_owner = NULL, lease_until = NULL
     WHERE ${KEY_IS} AND state IN ('queued', 'running')`,
    keyParts(key),
  );
  return { ...job, state: 'cancelled' };
}

/** A job that this server works on. */
export interface ClaimedJob {
  readonly id: string;
  readonly key: BenchmarkKey;
  readonly setting: JobSetting;
  /** Numbers of the parts that are there. */
  readonly done: ReadonlySet<number>;
}

/** Takes the job that waits longest, if any waits; of several servers one gets it. */
export async function claimJob(db: Database, leaseOwner: string): Promise<ClaimedJob | undefined> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE benchmark_jobs SET state = 'running', lease_owner = ?,
       lease_until = UTC_TIMESTAMP(3) + INTERVAL ${String(LEASE_S)} SECOND
     WHERE state = 'queued' OR (state = 'running' AND lease_until < UTC_TIMESTAMP(3))
     ORDER BY queued_at LIMIT 1`,
    [leaseOwner],
  );
  if (result.affectedRows === 0) return undefined;
  const [rows] = await db.execute<JobRow[]>(
    `SELECT * FROM benchmark_jobs WHERE lease_owner = ? AND state = 'running'`,
    [leaseOwner],
  );
  const row = rows[0];
  if (row === undefined) return undefined;
  const [parts] = await db.execute<(RowDataPacket & { part: number })[]>(
    'SELECT part FROM benchmark_parts WHERE job_id = ?',
    [row.id],
  );
  return {
    id: row.id,
    key: keyOf(row),
    setting: settingSchema.validateSync(parseJson(row.setting)),
    done: new Set(parts.map(({ part }) => part)),
  };
}

/** Whether the job is still this server's; holds it for a while longer and keeps it from others in a transaction. */
export async function extendLease(db: Database, id: string, leaseOwner: string): Promise<boolean> {
  const [result] = await db.execute<ResultSetHeader>(
    `UPDATE benchmark_jobs SET lease_until = UTC_TIMESTAMP(3) + INTERVAL ${String(LEASE_S)} SECOND
     WHERE id = ? AND lease_owner = ? AND state = 'running'`,
    [id, leaseOwner],
  );
  return result.affectedRows > 0;
}

/** Keeps a part's result once, in the transaction in which the lease was extended. */
export async function storePart(db: Database, id: string, part: number, result: PartResult): Promise<void> {
  const document =
    result.kind === 'rounds'
      ? { results: result.results, level: null }
      : { results: null, level: result.level };
  await db.execute(
    'INSERT INTO benchmark_parts (job_id, part, result) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE part = part',
    [id, part, JSON.stringify(document)],
  );
  await db.execute(
    `UPDATE benchmark_jobs SET done = (SELECT COUNT(*) FROM benchmark_parts WHERE job_id = ?) WHERE id = ?`,
    [id, id],
  );
}

interface PartRow extends RowDataPacket {
  part: number;
  result: unknown;
}

export async function listParts(db: Database, id: string): Promise<ReadonlyMap<number, PartResult>> {
  const [rows] = await db.execute<PartRow[]>('SELECT part, result FROM benchmark_parts WHERE job_id = ?', [
    id,
  ]);
  return new Map(
    rows.flatMap(({ part, result }): [number, PartResult][] => {
      const { results, level } = partSchema.validateSync(parseJson(result));
      if (level !== null) return [[part, { kind: 'level', level }]];
      return results === null ? [] : [[part, { kind: 'rounds', results }]];
    }),
  );
}

/** Ends a job; what its parts were is in the benchmark, so they go. */
export async function finishJob(db: Database, id: string): Promise<void> {
  await db.execute(
    `UPDATE benchmark_jobs SET state = 'done', lease_owner = NULL, lease_until = NULL WHERE id = ?`,
    [id],
  );
  await db.execute('DELETE FROM benchmark_parts WHERE job_id = ?', [id]);
}

export async function failJob(db: Database, id: string, leaseOwner: string, error: string): Promise<void> {
  await db.execute(
    `UPDATE benchmark_jobs SET state = 'failed', error = ?, lease_owner = NULL, lease_until = NULL
     WHERE id = ? AND lease_owner = ? AND state = 'running'`,
    [error.slice(0, 300), id, leaseOwner],
  );
}

/** Gives a job back, so that another server can take it at once. */
export async function releaseJob(db: Database, id: string, leaseOwner: string): Promise<void> {
  await db.execute(
    `UPDATE benchmark_jobs SET state = 'queued', lease_owner = NULL, lease_until = NULL
     WHERE id = ? AND lease_owner = ? AND state = 'running'`,
    [id, leaseOwner],
  );
}

interface CountRow extends RowDataPacket {
  state: string;
  jobs: number;
}

/** How many jobs wait, and how many are worked on. */
export async function countJobs(
  db: Database,
): Promise<{ readonly waiting: number; readonly running: number }> {
  const [rows] = await db.execute<CountRow[]>(
    `SELECT state, COUNT(*) AS jobs FROM benchmark_jobs WHERE state IN ('queued', 'running') GROUP BY state`,
  );
  const count = (state: string) => rows.find((row) => row.state === state)?.jobs ?? 0;
  return { waiting: count('queued'), running: count('running') };
}
