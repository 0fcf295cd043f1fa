import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import getPort from 'get-port';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { logOf } from '../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../core/records/entered.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { playersSchema } from '../core/records/player.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { startServer, stopServer } from '../scripts/lib/server.ts';
import { startThrowawayDatabase, type ThrowawayDatabase } from '../scripts/lib/throwawayDatabase.ts';
import { newRound } from '../server/testing/newRound.ts';
import { openFirstClub } from './lib/firstClub.ts';

/** Server and database are killed while devices score; a device sends an entry until it is acknowledged. */

const DEVICES = 8;
const ROUNDS_EACH = 3;
const ATTEMPTS = 10;

let database: ThrowawayDatabase;
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
  database = await startThrowawayDatabase('jolly-crash');
  port = String(await getPort({ host: '127.0.0.1' }));
  server = await serve();
  cookie = await openFirstClub(base());
  await ask('POST', '/players', { name: 'Sol Wick', hand: 'left', email: null, password: null });
});
afterAll(async () => {
  await stopServer(server);
  await database.end();
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
      const where = { playerId: player?.id ?? '', tableId: table?.id ?? '' };
      await send(`/rounds/${round}`, newRound(where, { drill: 'frozen-pair', startedAt: at }));
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
  await database.kill();
  expect(acknowledged).toBeLessThan(wanted);
  await database.startAgain();
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
