import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout } from 'node:timers/promises';
import getPort from 'get-port';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { BLANK_SHOT, logOf, NOTHING_ENTERED } from '../core/records/attempt.ts';
import { openRoundSchema, playersSchema } from '../core/records/club.ts';
import { clubTablesSchema } from '../core/records/tableCard.ts';
import { startDatabase, type OwnDatabase } from '../scripts/lib/database.ts';
import { startServer, stopServer } from '../scripts/lib/server.ts';

/** Server and database are killed while devices score; a device sends an entry until it is acknowledged. */

const DEVICES = 8;
const ROUNDS_EACH = 3;
const ATTEMPTS = 10;

let folder: string;
let database: OwnDatabase;
let databasePort: number;
let server: ChildProcess;
let port: string;
let cookie: string;

const base = () => `http://127.0.0.1:${port}`;
const serve = () =>
  startServer({ DATABASE_URL: database.url, PORT: port, JOLLY_DEMO: '0', JOLLY_LOG: 'silent' });

async function ask(method: string, place: string, body?: unknown): Promise<unknown> {
  const response = await fetch(`${base()}/api${place}`, {
    method,
    headers: { 'content-type': 'application/json', origin: base(), cookie },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  const value: unknown = await response.json();
  if (!response.ok) throw new Error(`${String(response.status)} ${JSON.stringify(value)}`);
  return value;
}

beforeAll(async () => {
  folder = mkdtempSync(path.join(tmpdir(), 'jolly-crash-'));
  // The database's own account must get in.
  chmodSync(folder, 0o755);
  databasePort = await getPort({ host: '127.0.0.1' });
  database = await startDatabase(path.join(folder, 'mariadb'), databasePort);
  port = String(await getPort({ host: '127.0.0.1' }));
  server = await serve();
  const opened = await fetch(`${base()}/api/club`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', origin: base() },
    body: JSON.stringify({
      club: 'Tern Wharf',
      name: 'Ada Kelp',
      email: 'ada@tern.example',
      password: 'low tide at six',
    }),
  });
  cookie = (opened.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
  await ask('POST', '/players', { name: 'Sol Wick', hand: 'left', email: null, password: null });
});
afterAll(async () => {
  await stopServer(server);
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function killed(child: ChildProcess): Promise<void> {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGKILL');
  await ended;
}

it('no acknowledged attempt is lost and none is doubled when server and database are killed in a burst', async () => {
  const [player] = await playersSchema.validate(await ask('GET', '/players'));
  const tables = await clubTablesSchema.validate(await ask('GET', '/tables'));
  const table = tables.find(({ preset }) => preset === 'pool-9ft');
  let [acknowledged, failed] = [0, 0];
  /** Sends until it is taken, as a device does. */
  const send = async (place: string, body: unknown) => {
    for (;;) {
      try {
        await ask('PUT', place, body);
        acknowledged++;
        return;
      } catch {
        failed++;
        await setTimeout(40);
      }
    }
  };
  const at = new Date().toISOString();
  const rounds = new Map<string, string[]>();
  const device = async () => {
    for (let k = 0; k < ROUNDS_EACH; k++) {
      const round = randomUUID();
      const ids: string[] = [];
      rounds.set(round, ids);
      await send(`/rounds/${round}`, {
        playerId: player?.id,
        tableId: table?.id,
        tableRevision: table?.state.revision,
        conditionsId: null,
        drill: 'frozen-pair',
        revision: 1,
        stage: 1,
        ladderStart: 0,
        seed: 1,
        lesson: null,
        startedAt: at,
      });
      for (let ordinal = 1; ordinal <= ATTEMPTS; ordinal++) {
        const id = randomUUID();
        ids.push(id);
        const entered = { ...NOTHING_ENTERED, done: ordinal % 2 === 0 };
        const log = logOf({ entered, shots: [BLANK_SHOT] });
        await send(`/rounds/${round}/attempts/${id}`, { ordinal, log, playedAt: at });
        await setTimeout(15);
      }
    }
  };
  const wanted = DEVICES * ROUNDS_EACH * (ATTEMPTS + 1);
  const burst = Promise.all(Array.from({ length: DEVICES }, device));
  const reached = (share: number) =>
    expect.poll(() => acknowledged, { timeout: 30_000, interval: 5 }).toBeGreaterThan(share * wanted);

  await reached(0.25);
  await killed(server);
  server = await serve();
  await reached(0.5);
  await killed(database.process);
  expect(acknowledged).toBeLessThan(wanted);
  database = await startDatabase(path.join(folder, 'mariadb'), databasePort);
  await burst;

  expect(failed).toBeGreaterThan(0);
  expect(acknowledged).toBe(wanted);
  for (const [round, ids] of rounds) {
    const { round: stored, conflicts } = await openRoundSchema.validate(await ask('GET', `/rounds/${round}`));
    expect(stored.attempts.map(({ id }) => id)).toEqual(ids);
    expect(stored.attempts.map(({ ordinal }) => ordinal)).toEqual(ids.map((_, i) => i + 1));
    expect(conflicts).toEqual([]);
    expect(stored.result.value).toBe(ATTEMPTS / 2);
  }
});
