import getPort from 'get-port';
import { createConnection } from 'mysql2/promise';
import type { TestProject } from 'vitest/node';
import { ensureBuilt } from '../../scripts/lib/build.ts';
import { CHROMIUM, ensureInstalled } from '../../scripts/lib/debian.ts';
import { startServer, stopServer } from '../../scripts/lib/server.ts';
import { startThrowawayDatabase } from '../../scripts/lib/throwawayDatabase.ts';

declare module 'vitest' {
  interface ProvidedContext {
    /** The built application with the demo club, and two that are still empty. */
    demoUrl: string;
    emptyUrl: string;
    otherUrl: string;
  }
}

/** The real thing in a temporary folder: database, built server twice; after the tests all of it is gone. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  await ensureInstalled(CHROMIUM);
  await ensureBuilt();
  const database = await startThrowawayDatabase('jolly-e2e');
  const connection = await createConnection(database.url);
  for (const name of ['jolly_empty', 'jolly_other']) {
    await connection.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`);
  }
  await connection.end();
  const serve = async (url: string, demo: boolean, benchmarks: '0' | '1') => {
    const port = String(await getPort({ host: '127.0.0.1' }));
    const server = await startServer({
      DATABASE_URL: url,
      PORT: port,
      JOLLY_DEMO: demo ? '1' : '0',
      JOLLY_BENCHMARKS: benchmarks,
    });
    return { server, url: `http://127.0.0.1:${port}` };
  };
  const demo = await serve(database.url, true, '0');
  const empty = await serve(database.url.replace(/\/jolly$/, '/jolly_empty'), false, '0');
  const other = await serve(database.url.replace(/\/jolly$/, '/jolly_other'), false, '1');
  project.provide('demoUrl', demo.url);
  project.provide('emptyUrl', empty.url);
  project.provide('otherUrl', other.url);
  return async () => {
    await stopServer(demo.server);
    await stopServer(empty.server);
    await stopServer(other.server);
    await database.end();
  };
}
