import { randomUUID } from 'node:crypto';
import path from 'node:path';
import type { Hono } from 'hono';
import { createConnection } from 'mysql2/promise';
import { pino } from 'pino';
import { createApp } from '../app.ts';
import { hashPassword } from '../auth/password.ts';
import type { SignedIn } from '../auth/session.ts';
import scoreTask from '../calls/worker.ts';
import { insertClub } from '../db/queries/clubs.ts';
import { insertPerson } from '../db/queries/people.ts';
import { insertTable } from '../db/queries/tables.ts';
import { migrate } from '../db/migrate.ts';
import { lentDatabase } from './lend.ts';
import { openPool, type DatabasePool } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { restoreBackup } from '../exports/restore.ts';
import { readLibrary, storeLibrary } from '../drills/library.ts';

export const MIGRATIONS = path.resolve('server/db/migrations');
export const PASSWORD = 'quayside lantern';

/** Says something to the tests' own MariaDB. */
export async function onServer(sql: string): Promise<void> {
  const connection = await createConnection(lentDatabase());
  await connection.query(sql);
  await connection.end();
}

/** The address of one of its databases. */
export const urlOf = (database: string) => lentDatabase().replace(/\/jolly$/, `/${database}`);

export const CHARACTERS = 'CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci';

/** A database of its own for one test file. */
export async function createTestDatabase(): Promise<{ readonly url: string; drop(): Promise<void> }> {
  const name = `jolly_${randomUUID().replaceAll('-', '')}`;
  await onServer(`CREATE DATABASE ${name} ${CHARACTERS}`);
  return { url: urlOf(name), drop: () => onServer(`DROP DATABASE ${name}`) };
}

export interface TestApp {
  readonly app: Hono<SignedIn>;
  readonly pool: DatabasePool;
  readonly deps: Dependencies;
  readonly url: string;
  readonly clock: { now: number };
  close(): Promise<void>;
}

/** The application on a database with the newest schema and the library in it. */
export async function openApp(url: string, change: Partial<Dependencies>): Promise<Omit<TestApp, 'close'>> {
  await migrate(url, MIGRATIONS);
  const pool = openPool(url);
  await storeLibrary(pool, await readLibrary(path.resolve('library')));
  const clock = { now: Date.UTC(2026, 10, 24, 12) };
  const deps: Dependencies = {
    pool,
    log: pino({ level: 'silent' }),
    now: () => clock.now,
    secureCookies: false,
    demoSignIns: [],
    scoreCall: (task) => Promise.resolve(scoreTask(task)),
    restore: (place, file) => restoreBackup(pool, place, new TextDecoder().decode(file)),
    ...change,
  };
  return { app: createApp(deps), pool, deps, url, clock };
}

/** The application on a database of its own without a club. */
export async function createTestApp(change: Partial<Dependencies> = {}): Promise<TestApp> {
  const database = await createTestDatabase();
  const opened = await openApp(database.url, change);
  return {
    ...opened,
    async close() {
      await opened.pool.end();
      await database.drop();
    },
  };
}

/** A club with a coach, two players with sign-ins and a table of each kind. */
export interface TestClub {
  readonly id: string;
  readonly coach: string;
  readonly player: string;
  readonly other: string;
  readonly playerId: string;
  readonly otherId: string;
  readonly poolTable: string;
  readonly snookerTable: string;
}

/** Makes a club; coach, player and other are their session cookies. */
export async function createTestClub({ app, pool }: TestApp, name: string): Promise<TestClub> {
  const id = randomUUID();
  const passwordHash = await hashPassword(PASSWORD);
  await insertClub(pool, id, name);
  const join = async (role: 'coach' | 'player', who: string) => {
    const personId = randomUUID();
    const email = `${who}@${name}.example`;
    await insertPerson(pool, {
      id: personId,
      clubId: id,
      role,
      name: `${who} of ${name}`,
      hand: 'right',
      email,
      passwordHash,
    });
    const response = await post(app, '/api/sign-in', { email, password: PASSWORD });
    return { personId, cookie: cookieOf(response) };
  };
  const coach = await join('coach', 'coach');
  const player = await join('player', 'player');
  const other = await join('player', 'other');
  const [poolTable, snookerTable] = [randomUUID(), randomUUID()];
  await insertTable(pool, id, { id: poolTable, name: 'one', preset: 'pool-9ft' });
  await insertTable(pool, id, { id: snookerTable, name: 'two', preset: 'snooker-12ft' });
  return {
    id,
    coach: coach.cookie,
    player: player.cookie,
    other: other.cookie,
    playerId: player.personId,
    otherId: other.personId,
    poolTable,
    snookerTable,
  };
}

export function cookieOf(response: Response): string {
  return (response.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
}

export async function send(
  app: Hono<SignedIn>,
  method: string,
  url: string,
  options: { readonly cookie?: string | undefined; readonly body?: unknown } = {},
): Promise<Response> {
  return app.request(url, {
    method,
    headers: {
      // Browsers send it with every change; without it a change is taken for another site's.
      origin: 'http://localhost',
      ...(options.cookie === undefined ? {} : { cookie: options.cookie }),
      ...(options.body === undefined ? {} : { 'content-type': 'application/json' }),
    },
    ...(options.body === undefined ? {} : { body: JSON.stringify(options.body) }),
  });
}

export function post(app: Hono<SignedIn>, url: string, body: unknown): Promise<Response> {
  return send(app, 'POST', url, { body });
}
