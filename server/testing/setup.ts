import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { TestProject } from 'vitest/node';
import { startDatabase } from '../../scripts/lib/database.ts';
import { ensureInstalled, MARIADB } from '../../scripts/lib/debian.ts';

declare module 'vitest' {
  interface ProvidedContext {
    databaseUrl: string;
  }
}

/** Before the tests: a MariaDB of their own in a temporary folder; after them it is gone. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  await ensureInstalled(MARIADB);
  const folder = mkdtempSync(path.join(tmpdir(), 'jolly-test-'));
  // The database's own account must get in.
  chmodSync(folder, 0o755);
  const database = await startDatabase(path.join(folder, 'mariadb'));
  project.provide('databaseUrl', database.url);
  return async () => {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}
