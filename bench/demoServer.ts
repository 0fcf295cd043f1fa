import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import getPort from 'get-port';
import { ensureBuilt } from '../scripts/lib/build.ts';
import { startDatabase } from '../scripts/lib/database.ts';
import { ensureInstalled, MARIADB } from '../scripts/lib/debian.ts';
import { startServer, stopServer } from '../scripts/lib/server.ts';
import { DEMO_SIGN_INS } from '../server/demo/people.ts';

interface DemoServer {
  readonly url: string;
  readonly databaseUrl: string;
}

/** The built server with the demo club, on loopback, a MariaDB of its own behind it; afterwards all of it is gone. */
export async function withDemoServer<T>(
  env: Record<string, string>,
  work: (server: DemoServer) => Promise<T>,
): Promise<T> {
  await ensureInstalled(MARIADB);
  await ensureBuilt();
  const folder = mkdtempSync(path.join(tmpdir(), 'jolly-bench-'));
  // The database's own account must get in.
  chmodSync(folder, 0o755);
  const database = await startDatabase(path.join(folder, 'mariadb'));
  const port = String(await getPort({ host: '127.0.0.1' }));
  const server = await startServer({ DATABASE_URL: database.url, PORT: port, JOLLY_DEMO: '1', ...env });
  try {
    return await work({ url: `http://127.0.0.1:${port}`, databaseUrl: database.url });
  } finally {
    await stopServer(server);
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Signs in as the demo's coach. @returns the cookie of the session */
export async function coachCookie(url: string): Promise<string> {
  const coach = DEMO_SIGN_INS[0];
  const entry = await fetch(`${url}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: url },
    body: JSON.stringify({ email: coach?.email, password: coach?.password }),
  });
  return (entry.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
}
