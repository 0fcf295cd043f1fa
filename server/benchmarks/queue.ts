import { randomUUID } from 'node:crypto';
import type { Logger } from 'pino';
import { ladderStartOf, type Beginning } from '../../core/drill/ladderStart.ts';
import { atStage } from '../../core/drill/stage.ts';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { benchmarkParts, joinParts, type PartResult } from '../../core/virtual/benchmarkRounds.ts';
import { canBePlayed } from '../../core/virtual/playRound.ts';
import {
  claimJob,
  extendLease,
  failJob,
  finishJob,
  listParts,
  queueJob,
  releaseJob,
  storePart,
  type ClaimedJob,
  type JobSetting,
} from '../db/queries/benchmarkJobs.ts';
import { keepBenchmark } from './known.ts';
import { findBenchmark, type BenchmarkKey } from '../db/queries/benchmarks.ts';
import { findDrill, type StoredDrill } from '../db/queries/drills.ts';
import { inTransaction, type Database, type DatabasePool } from '../db/pool.ts';
import type { PartTask } from './worker.ts';

/** The key of the benchmark of a drill, begun at a stage (and a rung of it), on a table. */
export function benchmarkKey(
  entry: StoredDrill,
  { stage, ladderStart }: Beginning,
  tableFingerprint: string,
): BenchmarkKey {
  return {
    owner: entry.owner,
    drill: entry.document.slug,
    revision: entry.revision,
    stage,
    ladderStart: ladderStartOf(atStage(entry.document, stage), ladderStart),
    tableFingerprint,
    modelVersion: MODEL_VERSION,
    levelVersion: LEVEL_TABLE_VERSION,
  };
}

/** Queues for a club what virtual players score, unless it is known or they cannot play the drill. */
export async function queueBenchmark(
  db: Database,
  entry: StoredDrill,
  begun: Beginning,
  played: { readonly setting: JobSetting; readonly fingerprint: string; readonly clubId: string },
): Promise<void> {
  if (!canBePlayed(entry.document)) return;
  const key = benchmarkKey(entry, begun, played.fingerprint);
  if ((await findBenchmark(db, key)) !== undefined) return;
  const parts = benchmarkParts(entry.document, begun.stage).length;
  await queueJob(db, randomUUID(), key, { setting: played.setting, parts, clubId: played.clubId });
}

/** Computes one part, somewhere. */
export type RunPart = (task: PartTask) => Promise<PartResult>;

interface Runner {
  readonly pool: DatabasePool;
  readonly log: Logger;
  readonly run: RunPart;
  /** Parts that are computed at the same time. */
  readonly threads: number;
}

/** Works on the jobs of the queue until there is none left or it is stopped. */
export class BenchmarkQueue {
  readonly #runner: Runner;
  readonly #leaseOwner = randomUUID();
  #stopped = false;
  #working: Promise<void> | undefined;

  constructor(runner: Runner) {
    this.#runner = runner;
  }

  /** Begins to work, if it does not already; what is queued meanwhile is done too. */
  wake(): Promise<void> {
    this.#working ??= this.#drain()
      .catch((error: unknown) => {
        // The database is gone for a while: whoever looks next goes on.
        this.#runner.log.warn({ err: error }, 'benchmarks are not worked on');
      })
      .finally(() => {
        this.#working = undefined;
      });
    return this.#working;
  }

  /** Lets go of the job under way: its parts stay, and another server or the next start goes on with it. */
  async stop(): Promise<void> {
    this.#stopped = true;
    await this.#working;
  }

  /** Asked anew after each wait, for it may have changed meanwhile. */
  #isStopped(): boolean {
    return this.#stopped;
  }

  async #drain(): Promise<void> {
    const { pool, log } = this.#runner;
    while (!this.#stopped) {
      const job = await claimJob(pool, this.#leaseOwner);
      if (job === undefined) return;
      try {
        await this.#work(job);
      } catch (error) {
        // A thread that is taken down with the server has not failed.
        if (this.#isStopped()) {
          await releaseJob(pool, job.id, this.#leaseOwner);
          return;
        }
        log.warn({ err: error, drill: job.key.drill }, 'a benchmark failed');
        await failJob(pool, job.id, this.#leaseOwner, error instanceof Error ? error.message : 'unknown');
      }
    }
  }

  async #work(job: ClaimedJob): Promise<void> {
    const { pool, run, threads } = this.#runner;
    const { owner, drill, revision, stage, ladderStart, tableFingerprint } = job.key;
    const entry = await findDrill(pool, owner, drill, revision);
    if (entry === undefined) throw new Error('the drill is not there any more');
    const parts = benchmarkParts(entry.document, stage);
    const waiting = [...parts.keys()].filter((number) => !job.done.has(number));
    const lease = { held: true };
    const lane = async () => {
      while (lease.held && !this.#stopped) {
        const number = waiting.shift();
        const part = number === undefined ? undefined : parts[number];
        if (number === undefined || part === undefined) return;
        const { document } = entry;
        const { setting } = job;
        const begun = { stage, ladderStart };
        const result = await run({ document, revision, begun, setting, fingerprint: tableFingerprint, part });
        lease.held = (await this.#keep(job.id, number, result)) && lease.held;
      }
    };
    await Promise.all(Array.from({ length: threads }, lane));
    if (this.#isStopped()) {
      await releaseJob(pool, job.id, this.#leaseOwner);
      return;
    }
    if (lease.held) await this.#finish(job, parts);
  }

  /** Keeps a result; false when the job was cancelled, or is another server's by now. */
  async #keep(id: string, number: number, result: PartResult): Promise<boolean> {
    return inTransaction(this.#runner.pool, async (db) => {
      if (!(await extendLease(db, id, this.#leaseOwner))) return false;
      await storePart(db, id, number, result);
      return true;
    });
  }

  async #finish(job: ClaimedJob, parts: ReturnType<typeof benchmarkParts>): Promise<void> {
    await inTransaction(this.#runner.pool, async (db) => {
      if (!(await extendLease(db, job.id, this.#leaseOwner))) return;
      const results = await listParts(db, job.id);
      const benchmark = joinParts(
        parts.flatMap((part, number) => {
          const result = results.get(number);
          return result === undefined ? [] : [{ part, result }];
        }),
      );
      await keepBenchmark(db, job.key, benchmark);
      await finishJob(db, job.id);
    });
  }
}
