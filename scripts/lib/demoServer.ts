import getPort from 'get-port';
import { ensureBuilt } from './build.ts';
import type { Measured } from '../../server/measure.ts';
import { measureServer, startServer, stopServer } from './server.ts';
import { startThrowawayDatabase } from './throwawayDatabase.ts';

interface DemoServer {
  readonly url: string;
  readonly databaseUrl: string;
  /** What the server says of itself. */
  readonly measure: () => Promise<Measured>;
}

/**
 * The built server with the demo club, on loopback, a MariaDB of its own behind it; after the work all of it is gone.
 * @param env settings beside those, as the README lists them
 */
export async function withDemoServer<T>(
  env: Record<string, string>,
  work: (server: DemoServer) => Promise<T>,
): Promise<T> {
  await ensureBuilt();
  const database = await startThrowawayDatabase('jolly-demo');
  const port = String(await getPort({ host: '127.0.0.1' }));
  const server = await startServer({ DATABASE_URL: database.url, PORT: port, JOLLY_DEMO: '1', ...env });
  try {
    return await work({
      url: `http://127.0.0.1:${port}`,
      databaseUrl: database.url,
      measure: () => measureServer(server),
    });
  } finally {
    await stopServer(server);
    await database.end();
  }
}
