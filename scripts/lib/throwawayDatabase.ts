import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { startDatabase, type OwnDatabase } from './database.ts';
import { ensureInstalled, MARIADB } from './debian.ts';

interface ThrowawayDatabase {
  readonly database: OwnDatabase;
  /** Stops it and takes its folder away. */
  readonly end: () => Promise<void>;
}

/**
 * A MariaDB in a temporary folder, for tests and benchmarks; installs MariaDB if need be. It does not outlive this
 * process, also when that is ended with Ctrl-C.
 * @param name what its folder's name begins with
 */
export async function startThrowawayDatabase(name: string): Promise<ThrowawayDatabase> {
  await ensureInstalled(MARIADB);
  const folder = mkdtempSync(path.join(tmpdir(), `${name}-`));
  // The database's own account must get in.
  chmodSync(folder, 0o755);
  const database = await startDatabase(path.join(folder, 'mariadb'));
  const takeAway = () => rmSync(folder, { recursive: true, force: true });
  const cutOff = () => {
    database.process.kill('SIGKILL');
    takeAway();
  };
  process.once('exit', cutOff);
  return {
    database,
    async end() {
      process.removeListener('exit', cutOff);
      await database.stop();
      takeAway();
    },
  };
}
