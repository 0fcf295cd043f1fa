import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import getPort from 'get-port';
import { startDatabase, type OwnDatabase } from './database.ts';
import { ensureInstalled, MARIADB } from './debian.ts';

/** A MariaDB in a temporary folder; it does not outlive the process that began it, also not after Ctrl-C. */
export interface ThrowawayDatabase {
  /** The same before and after it is started again. */
  readonly url: string;
  readonly folder: string;
  /** Ends it as a crash does. */
  readonly kill: () => Promise<void>;
  /** Starts it again where it was, after a crash. */
  readonly startAgain: () => Promise<void>;
  /** Stops it and takes its folder away. */
  readonly end: () => Promise<void>;
}

const SIGNALS = ['SIGINT', 'SIGTERM', 'SIGHUP'] as const;

/**
 * Starts one, for tests and benchmarks; installs MariaDB if need be.
 * @param name what its folder's name begins with
 */
export async function startThrowawayDatabase(name: string): Promise<ThrowawayDatabase> {
  await ensureInstalled(MARIADB);
  const folder = mkdtempSync(path.join(tmpdir(), `${name}-`));
  // The database's own account must get in.
  chmodSync(folder, 0o755);
  const port = await getPort({ host: '127.0.0.1' });
  const start = () => startDatabase(path.join(folder, 'mariadb'), port);
  let database: OwnDatabase = await start();
  const takeAway = () => rmSync(folder, { recursive: true, force: true });
  const cutOff = () => {
    database.process.kill('SIGKILL');
    takeAway();
  };
  // A signal alone would end this process without a word.
  const leave = () => process.exit(1);
  process.once('exit', cutOff);
  for (const signal of SIGNALS) process.once(signal, leave);
  return {
    url: database.url,
    folder,
    async kill() {
      const ended = new Promise((resolve) => database.process.once('exit', resolve));
      database.process.kill('SIGKILL');
      await ended;
    },
    async startAgain() {
      database = await start();
    },
    async end() {
      process.removeListener('exit', cutOff);
      for (const signal of SIGNALS) process.removeListener(signal, leave);
      await database.stop();
      takeAway();
    },
  };
}
