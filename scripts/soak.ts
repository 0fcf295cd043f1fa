import { setTimeout } from 'node:timers/promises';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { coachCookie } from '../bench/coachCookie.ts';
import { quantile } from '../bench/report.ts';
import { Beat } from './lib/beat.ts';
import { ClusterInstallation } from './lib/clusterInstallation.ts';
import { withDemoServer } from './lib/demoServer.ts';
import { Device, type Seen } from './lib/device.ts';
import { leaveWith, say } from './lib/report.ts';
import { lookAtTicks, stolenShare } from './lib/stolen.ts';

/**
 * `npm run soak [-- --minutes 10] [-- --only steady|cluster]`: twenty devices at one server for some minutes, then a
 * cluster whose parts are killed one after the other in bursts of two thousand attempts. Leaves with 1 when something is
 * not as it should be.
 */
const valueOf = (name: string) => process.argv[process.argv.indexOf(name) + 1];
const minutes = process.argv.includes('--minutes') ? Number(valueOf('--minutes')) : 10;
const only = process.argv.includes('--only') ? valueOf('--only') : undefined;

const DEVICES = 20;
const SHOTS = 10;
const PAUSE_MS = 500;
const SAMPLE_MS = 5_000;
const faults: string[] = [];

function expectThat(holds: boolean, what: string): void {
  say(`${holds ? 'ok  ' : 'BAD '} ${what}`);
  if (!holds) faults.push(what);
}

interface Sample {
  readonly residentMB: number;
  readonly delayP99: number;
  readonly connections: number;
  /** When the five seconds before it ended, and the share of them in which the host had given the processors away. */
  readonly at: number;
  readonly stolen: number;
}

/** A stretch in which more of the processors' time was away tells how full the host was, not how quick the server is. */
const QUIET = 0.02;

const PAGES = ['/today', '/drills', '/tables', '/lessons', '/programmes'];

async function steady(): Promise<void> {
  await withDemoServer({ JOLLY_BENCHMARKS: '0' }, async ({ url, databaseUrl, measure }) => {
    const seen: Seen = { acknowledged: [], failed: [] };
    const cookie = await coachCookie(url);
    const db = await createConnection(databaseUrl);
    const end = Date.now() + minutes * 60_000;
    const samples: Sample[] = [];
    await measure();
    const devices = Array.from({ length: DEVICES }, async (_, n) => {
      const device = new Device(url, cookie, seen);
      const player = await device.begin(n);
      const beat = new Beat(PAUSE_MS, n / DEVICES);
      for (let k = 0; Date.now() < end; k++) {
        // Nor do they end their rounds in step: the first is of another length for each.
        await device.round(k === 0 ? 1 + (n % SHOTS) : SHOTS, beat);
        await device.page(PAGES[(n + k) % PAGES.length] ?? '/today');
        if (k % 4 === 0) await device.page(`/players/${player}/progress`);
      }
    });
    const watching = (async () => {
      let ticks = await lookAtTicks();
      while (Date.now() < end) {
        await setTimeout(SAMPLE_MS);
        const before = ticks;
        ticks = await lookAtTicks();
        const stolen = stolenShare(before, ticks);
        const [rows] = await db.query<(RowDataPacket & { Value: string })[]>(
          "SHOW STATUS LIKE 'Threads_connected'",
        );
        const connections = Number(rows[0]?.Value);
        samples.push({ ...(await measure()), connections, at: Date.now(), stolen });
      }
    })();
    await Promise.all([...devices, watching]);
    await db.end();
    report(seen, samples);
  });
}

/** The middle value of some. */
const middle = (values: readonly number[]) => quantile(values, 0.5);

function report({ acknowledged, failed }: Seen, samples: readonly Sample[]): void {
  const times = acknowledged.map(({ took }) => took);
  const quiet = samples.filter(({ stolen }) => stolen < QUIET);
  const inQuiet = acknowledged
    .filter(({ at }) => quiet.some((sample) => at > sample.at - SAMPLE_MS && at <= sample.at))
    .map(({ took }) => took);
  say(
    `the host was quiet in ${String(quiet.length)} of ${String(samples.length)} stretches of five seconds: less than ${String(100 * QUIET)} % of the processors' time was away`,
  );
  say(`recording an attempt, whatever the host did: ${quantile(times, 0.95).toFixed(1)} ms at p95`);
  const first = Math.min(...acknowledged.map(({ at }) => at));
  const early = acknowledged.filter(({ at }) => at < first + 5_000).map(({ took }) => took);
  expectThat(
    failed.length === 0,
    `no answer from 500 on (${String(failed.length)} of ${String(times.length)} attempts and the pages)`,
  );
  expectThat(
    quantile(inQuiet, 0.95) < 25,
    `recording an attempt: ${quantile(inQuiet, 0.95).toFixed(1)} ms at p95 of ${String(inQuiet.length)} in quiet stretches`,
  );
  expectThat(
    quantile(early, 0.95) < 25,
    `in the first five seconds: ${quantile(early, 0.95).toFixed(1)} ms at p95`,
  );
  const third = Math.floor(samples.length / 3);
  const [second, last] = [samples.slice(third, 2 * third), samples.slice(-third)];
  const memory = (part: readonly Sample[]) => middle(part.map(({ residentMB }) => residentMB));
  const grown = memory(last) - memory(second);
  expectThat(
    grown < 0.1 * memory(second),
    `memory after warm-up: ${memory(second).toFixed(0)} MB, then ${memory(last).toFixed(0)} MB`,
  );
  const connections = (part: readonly Sample[]) => Math.max(...part.map((each) => each.connections));
  expectThat(
    connections(last) <= connections(second),
    `connections: ${String(connections(second))}, then ${String(connections(last))}`,
  );
  const delay = quantile(
    quiet.map(({ delayP99 }) => delayP99),
    0.99,
  );
  expectThat(delay < 100, `delay of the event loop: ${delay.toFixed(1)} ms at p99`);
}

const BURST = 2_000;
const BURST_DEVICES = 40;
const KILL_AFTER = 600;
const LONGEST_MS = 10_000;

async function burst(
  installation: ClusterInstallation,
  what: string,
  kill: () => Promise<void>,
): Promise<void> {
  const seen: Seen = { acknowledged: [], failed: [] };
  const cookie = await coachCookie(installation.url);
  const devices = await Promise.all(
    Array.from({ length: BURST_DEVICES }, async (_, n) => {
      const device = new Device(installation.url, cookie, seen);
      await device.begin(n);
      return device;
    }),
  );
  const killing = (async () => {
    while (seen.acknowledged.length < KILL_AFTER) await setTimeout(10);
    await kill();
  })();
  const rounds = BURST / BURST_DEVICES / SHOTS;
  await Promise.all(
    devices.map(async (device) => {
      for (let k = 0; k < rounds; k++) await device.round(SHOTS);
    }),
  );
  await killing;
  const at = seen.acknowledged.map((each) => each.at).sort((a, b) => a - b);
  const gap = Math.max(...at.slice(1).map((time, i) => time - (at[i] ?? time)));
  const db = await createConnection(installation.cluster.aliveUrl());
  await db.query('SET SESSION wsrep_sync_wait = 7');
  const ids = seen.acknowledged.map(({ id }) => id);
  const [[kept]] = await db.query<(RowDataPacket & { n: number; standing: number })[]>(
    'SELECT COUNT(*) AS n, COUNT(standing) AS standing FROM attempts WHERE id IN (?)',
    [ids],
  );
  const [twice] = await db.query<RowDataPacket[]>(
    'SELECT round_id FROM attempts WHERE standing = 1 GROUP BY round_id, ordinal HAVING COUNT(*) > 1',
  );
  await db.end();
  expectThat(
    kept?.n === BURST && kept.standing === BURST && new Set(ids).size === BURST,
    `${what}: of ${String(BURST)} acknowledged attempts ${String(kept?.n)} are there`,
  );
  expectThat(twice.length === 0, `${what}: ${String(twice.length)} are there twice`);
  expectThat(gap < LONGEST_MS, `${what}: the longest time without an acknowledgement was ${String(gap)} ms`);
}

async function inCluster(work: (installation: ClusterInstallation) => Promise<void>): Promise<void> {
  const installation = await ClusterInstallation.start();
  try {
    await work(installation);
  } finally {
    await installation.stop();
  }
}

/** Each node is killed in a cluster of its own: a node that has lost its place is sent back by whoever runs a real one. */
async function cluster(): Promise<void> {
  say('Three database nodes, two servers and a proxy');
  for (const node of [0, 1, 2]) {
    await inCluster((installation) =>
      burst(installation, `node ${String(node + 1)} killed`, () => installation.cluster.kill(node)),
    );
  }
  await inCluster(async (installation) => {
    for (const server of [0, 1]) {
      await burst(installation, `server ${String(server + 1)} killed`, () => installation.killServer(server));
      await installation.startServer(server);
    }
  });
}

try {
  if (only !== 'cluster') await steady();
  if (only !== 'steady') await cluster();
  say(faults.length === 0 ? 'Everything as it should be' : `${String(faults.length)} not as it should be`);
  process.exit(faults.length === 0 ? 0 : 1);
} catch (error) {
  leaveWith(error);
}
