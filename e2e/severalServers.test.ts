import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import getPort from 'get-port';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { playersSchema } from '../core/records/player.ts';
import { maybeScreenSchema, screenPictureSchema } from '../core/records/screen.ts';
import { startServer, stopServer } from '../scripts/lib/server.ts';
import { startThrowawayDatabase, type ThrowawayDatabase } from '../scripts/lib/throwawayDatabase.ts';
import { eventsOf, nextOf } from '../server/testing/events.ts';
import { newLesson } from '../server/testing/newLesson.ts';
import { openFirstClub } from './lib/firstClub.ts';

/** Two servers, each a process of its own, before one database: what one is told the other tells. */

interface Server {
  readonly child: ChildProcess;
  readonly url: string;
}

let database: ThrowawayDatabase;
let servers: readonly Server[] = [];
let cookie: string;

async function serve(): Promise<Server> {
  const port = String(await getPort({ host: '127.0.0.1' }));
  const child = await startServer({
    DATABASE_URL: database.url,
    PORT: port,
    JOLLY_DEMO: '0',
    JOLLY_LOG: 'silent',
    JOLLY_BENCHMARKS: '0',
    JOLLY_SOLVE_AHEAD: '0',
  });
  return { child, url: `http://127.0.0.1:${port}` };
}

beforeAll(async () => {
  database = await startThrowawayDatabase('jolly-servers');
  servers = await Promise.all([serve(), serve()]);
  cookie = await openFirstClub(servers[0]?.url ?? '');
});
afterAll(async () => {
  await Promise.all(servers.map(({ child }) => stopServer(child)));
  await database.end();
});

async function ask(server: number, method: string, place: string, body?: unknown): Promise<unknown> {
  const { url } = servers[server] ?? { url: '' };
  const response = await fetch(`${url}/api${place}`, {
    method,
    headers: { 'content-type': 'application/json', origin: url, cookie },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const value: unknown = await response.json();
  if (!response.ok) throw new Error(`${String(response.status)} ${JSON.stringify(value)}`);
  return value;
}

it('a screen that one server serves shows what the coach tells another one, also after that one has ended', async () => {
  await ask(0, 'POST', '/players', { name: 'Sol Wick', hand: 'left', email: null, password: null });
  const [player] = await playersSchema.validate(await ask(0, 'GET', '/players'));
  const tables = await clubTablesSchema.validate(await ask(0, 'GET', '/tables'));
  const tableId = tables.find(({ preset }) => preset === 'pool-9ft')?.id ?? '';
  const lesson = randomUUID();
  const document = newLesson({ playerIds: [player?.id ?? ''], tableId });
  await ask(0, 'PUT', `/lessons/${lesson}`, { document, basedOn: null });
  const show = async (server: number, set: number) => {
    const shown = { view: 'set up', set };
    return maybeScreenSchema.validate(await ask(server, 'PUT', `/lessons/${lesson}/screen`, { shown }));
  };
  const { screen } = await show(0, 0);
  const code = screen?.code ?? '';

  const events = eventsOf(await fetch(`${servers[1]?.url ?? ''}/api/screens/${code}/live`));
  const set = async () => screenPictureSchema.validateSync(JSON.parse((await nextOf(events)).data)).shown.set;
  expect(await set()).toBe(0);
  await show(0, 1);
  expect(await set()).toBe(1);
  // The coach's next request comes to the other one.
  if (servers[0] !== undefined) await stopServer(servers[0].child);
  expect((await show(1, 2)).screen?.code).toBe(code);
  expect(await set()).toBe(2);
  await ask(1, 'DELETE', `/lessons/${lesson}/screen`);
  expect((await nextOf(events)).event).toBe('closed');
});
