import { randomUUID } from 'node:crypto';
import { readFileSync, statSync } from 'node:fs';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { logOf } from '../core/records/attempt.ts';
import { playersSchema } from '../core/records/player.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { ensureBuilt } from '../scripts/lib/build.ts';
import { Beat } from '../scripts/lib/beat.ts';
import { withDemoServer } from '../scripts/lib/demoServer.ts';
import { coachCookie } from './coachCookie.ts';
import { quantile, type Figure } from './report.ts';
import { newRound } from '../server/testing/newRound.ts';

const CLIENTS = 20;
const MANY_CLIENTS = 100;
const ROUNDS_EACH = 4;
const SHOTS = 10;
/** A device scores a shot this often: some sixty times as often as a player shoots; of a hundred, thirty times. */
const PAUSE_MS = 500;
const MANY_PAUSE_MS = 1_000;

async function checked(response: Response): Promise<unknown> {
  if (!response.ok) throw new Error(`${response.url} answered ${String(response.status)}`);
  const body: unknown = await response.json();
  return body;
}

interface Load {
  /** Milliseconds of each attempt. */
  readonly times: readonly number[];
  /** Attempts a second, all clients together. */
  readonly rate: number;
}

/** Times the recording of attempts, each client scoring its own rounds. @param pauseMs from one shot to the next */
async function timeAttempts(url: string, clients: number, pauseMs: number): Promise<Load> {
  const headers = { 'content-type': 'application/json', origin: url };
  const cookie = await coachCookie(url);
  const ask = async (method: string, place: string, body?: unknown) =>
    checked(
      await fetch(`${url}/api${place}`, {
        method,
        headers: { ...headers, cookie },
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
      }),
    );
  const players = await playersSchema.validate(await ask('GET', '/players'));
  const tables = await clubTablesSchema.validate(await ask('GET', '/tables'));
  const table = tables.find((each) => each.preset === 'pool-9ft');
  const at = new Date().toISOString();
  const times: number[] = [];
  const begun = performance.now();
  await Promise.all(
    Array.from({ length: clients }, async (_, client) => {
      const beat = pauseMs === 0 ? undefined : new Beat(pauseMs, client / clients);
      for (let k = 0; k < ROUNDS_EACH; k++) {
        const round = randomUUID();
        const player = players[client % players.length];
        const where = { playerId: player?.id ?? '', tableId: table?.id ?? '' };
        await ask('PUT', `/rounds/${round}`, newRound(where, { startedAt: at }));
        for (let ordinal = 1; ordinal <= SHOTS; ordinal++) {
          const landing = { x: 1 + 0.05 * ordinal, y: 0.2 + 0.008 * client };
          await beat?.next();
          const start = performance.now();
          await ask('PUT', `/rounds/${round}/attempts/${randomUUID()}`, {
            ordinal,
            log: logOf({ shots: [{ ...BLANK_SHOT, potted: ['1'], landing }] }),
            playedAt: at,
          });
          // The first round of each client warms connections and code.
          const took = performance.now() - start;
          if (k > 0) times.push(took);
        }
      }
    }),
  );
  const seconds = (performance.now() - begun) / 1000;
  return { times, rate: (clients * ROUNDS_EACH * SHOTS) / seconds };
}

/**
 * Recording attempts with twenty clients, and with a hundred, on loopback, a MariaDB of its own behind it: the 95th
 * percentile at a steady pace, and how many a second go through when nobody of twenty pauses.
 */
export async function attempts(): Promise<readonly Figure[]> {
  return withDemoServer({}, async ({ url }) => {
    const paced = await timeAttempts(url, CLIENTS, PAUSE_MS);
    const many = await timeAttempts(url, MANY_CLIENTS, MANY_PAUSE_MS);
    const flat = await timeAttempts(url, CLIENTS, 0);
    return [
      { name: 'server.attempt.p95', value: quantile(paced.times, 0.95), unit: 'ms', wanted: 'under 25' },
      {
        name: 'server.attempt.100.p95',
        value: quantile(many.times, 0.95),
        unit: 'ms',
        wanted: 'under 50',
      },
      { name: 'server.attempt.most', value: flat.rate, unit: 'attempts/s' },
    ];
  });
}

/** Compressed JavaScript that the first page loads, as gzip sends it. */
export async function firstPage(): Promise<Figure> {
  await ensureBuilt();
  const html = readFileSync('dist/web/index.html', 'utf8');
  const scripts = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((match) => match[1] ?? '');
  const bytes = scripts.reduce((sum, script) => sum + statSync(`dist/web${script}.gz`).size, 0);
  return { name: 'web.first-page', value: bytes / 1000, unit: 'kB', wanted: 'under 250' };
}
