import getPort from 'get-port';
import { createConnection } from 'mysql2/promise';
import type { TestProject } from 'vitest/node';
import { ensureBuilt } from '../../scripts/lib/build.ts';
import { CHROMIUM, ensureInstalled } from '../../scripts/lib/debian.ts';
import { startServer, stopServer } from '../../scripts/lib/server.ts';
import { startThrowawayDatabase } from '../../scripts/lib/throwawayDatabase.ts';

declare module 'vitest' {
  interface ProvidedContext {
    /** The built application with the demo club, one for each worker; and some that are still empty. */
    demoUrls: readonly string[];
    emptyUrl: string;
    otherUrl: string;
    /** This one lets virtual players play. */
    computingUrl: string;
  }
}

/** The real thing in a temporary folder: database, built servers; after the tests all of it is gone. */
export default async function setup(project: TestProject): Promise<() => Promise<void>> {
  await ensureInstalled(CHROMIUM);
  await ensureBuilt();
  const database = await startThrowawayDatabase('jolly-e2e');
  const connection = await createConnection(database.url);
  for (const name of ['jolly_second', 'jolly_empty', 'jolly_other', 'jolly_computing']) {
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
      // Five servers that solve every drill ahead would have both cores for themselves.
      JOLLY_SOLVE_AHEAD: '0',
    });
    return { server, url: `http://127.0.0.1:${port}` };
  };
  const named = (name: string) => database.url.replace(/\/jolly$/, `/${name}`);
  const [first, second, empty, other, computing] = await Promise.all([
    serve(database.url, true, '0'),
    serve(named('jolly_second'), true, '0'),
    serve(named('jolly_empty'), false, '0'),
    serve(named('jolly_other'), false, '0'),
    serve(named('jolly_computing'), false, '1'),
  ]);
  project.provide('demoUrls', [first.url, second.url]);
  project.provide('emptyUrl', empty.url);
  project.provide('otherUrl', other.url);
  project.provide('computingUrl', computing.url);
  return async () => {
    await Promise.all([first, second, empty, other, computing].map(({ server }) => stopServer(server)));
    await database.end();
  };
}
