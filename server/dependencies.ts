import type { DatabasePool } from './db/pool.ts';
import type { Logger } from 'pino';
import type { EnsurePlan } from './drills/planThread.ts';
import type { ScoreCall } from './calls/thread.ts';
import type { Restore } from './exports/restoreThread.ts';
import type { Welcome } from '../core/records/account.ts';

/** What the application is given from outside; tests give other things. */
export interface Dependencies {
  readonly pool: DatabasePool;
  readonly log: Logger;
  /** Milliseconds since 1970. */
  readonly now: () => number;
  /** Cookies only over HTTPS: for a server behind a proxy that speaks it. */
  readonly secureCookies: boolean;
  /** Shown on the sign-in page; empty for a real club. */
  readonly demoSignIns: Welcome['demo'];
  /** Tells whoever computes benchmarks that one was queued. */
  readonly wakeBenchmarks?: () => void;
  /** Scores a call, beside those who wait for an answer. */
  readonly scoreCall: ScoreCall;
  /** Brings a backup back in the place of a club, beside those who wait for an answer. */
  readonly restore: Restore;
  /** Where the nightly backups of this server are; undefined when it keeps none. */
  readonly backupFolder?: string;
  /** Whether a proxy stands before this server, which says from where a request comes. */
  readonly behindProxy?: boolean;
  /** Solves a drill beside those who wait; without it the first who asks solves it. */
  readonly ensurePlan?: EnsurePlan;
  /** Folder of the built interface, when this server serves it. */
  readonly webFolder?: string;
}
