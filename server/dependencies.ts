import type { Pool } from 'mysql2/promise';
import type { Logger } from 'pino';
import type { Welcome } from '../core/records/account.ts';

/** What the application is given from outside; tests give other things. */
export interface Dependencies {
  readonly pool: Pool;
  readonly log: Logger;
  /** Milliseconds since 1970. */
  readonly now: () => number;
  /** Cookies only over HTTPS: for a server behind a proxy that speaks it. */
  readonly secureCookies: boolean;
  /** Shown on the sign-in page; empty for a real club. */
  readonly demoSignIns: Welcome['demo'];
  /** Tells whoever computes benchmarks that one was queued. */
  readonly wakeBenchmarks?: () => void;
  /** Folder of the built interface, when this server serves it. */
  readonly webFolder?: string;
}
