import path from 'node:path';
import { migrate } from '../../server/db/migrate.ts';
import { openPool, type DatabasePool } from '../../server/db/pool.ts';
import { databaseFolder, runningDatabase, startDatabase } from './database.ts';
import { dataFolder } from './dataFolder.ts';
import { ensureInstalled, MARIADB } from './debian.ts';
import { step } from './report.ts';

/**
 * Does something with an installation's database, whether the program runs or not. DATABASE_URL names another one.
 * @param demo the demo club's; else the real one's
 */
export async function withInstallation<T>(
  demo: boolean,
  work: (pool: DatabasePool) => Promise<T>,
): Promise<T> {
  const folder = databaseFolder(dataFolder(demo));
  const running = process.env['DATABASE_URL'] ?? runningDatabase(folder);
  if (running !== undefined) return withPool(running, work);
  await ensureInstalled(MARIADB);
  const database = await step(`Starting the database in ${folder}`, () => startDatabase(folder));
  try {
    await migrate(database.url, path.resolve('server/db/migrations'));
    return await withPool(database.url, work);
  } finally {
    await database.stop();
  }
}

async function withPool<T>(url: string, work: (pool: DatabasePool) => Promise<T>): Promise<T> {
  const pool = openPool(url);
  try {
    return await work(pool);
  } finally {
    await pool.end();
  }
}
