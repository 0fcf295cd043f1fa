import { randomUUID } from 'node:crypto';
import { pino } from 'pino';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { benchmarkReplySchema } from '../../core/records/benchmarkReply.ts';
import { computePart } from '../../core/virtual/benchmarkRounds.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from '../testing/club.ts';
import { BenchmarkQueue, type RunPart } from './queue.ts';
import type { PartTask } from './worker.ts';
import { newRound } from '../testing/newRound.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

beforeEach(async () => {
  await test.pool.execute('DELETE FROM benchmark_jobs');
  await test.pool.execute('DELETE FROM benchmarks');
});

const PATH = '/api/drills/frozen-pair/revisions/1/stages/1/benchmark';
const reply = async (response: Response) => benchmarkReplySchema.validate(await response.json());
const look = async (path = PATH, cookie = club.coach) => reply(await send(test.app, 'GET', path, { cookie }));
const change = async (method: string) =>
  reply(await send(test.app, method, `${PATH}/job`, { cookie: club.coach }));

/** Plays every part at once by made-up results, and remembers which it was asked for. */
function quick(
  asked: string[],
  before: (task: PartTask) => Promise<void> = () => Promise.resolve(),
): RunPart {
  return async (task) => {
    asked.push(`${task.part.level} ${String(task.part.seeds[0])}`);
    await before(task);
    const results = task.part.seeds.map((seed) => ({
      value: seed % 5,
      unit: 'hits' as const,
      better: 'high' as const,
      maximum: 10,
      complete: true,
      censored: false,
    }));
    return { kind: 'rounds', results };
  };
}

const queue = (run: RunPart, threads = 1) =>
  new BenchmarkQueue({ pool: test.pool, log: pino({ level: 'silent' }), run, threads });

describe('a benchmark job', () => {
  it('is queued by a coach, played part by part with its progress, and becomes the benchmark', async () => {
    expect(await look()).toMatchObject({ benchmark: null, job: null, playable: true });
    expect((await change('POST')).job).toMatchObject({ state: 'queued', done: 0, parts: 100 });
    const seen: number[] = [];
    const asked: string[] = [];
    await queue(quick(asked, async () => void seen.push((await look()).job?.done ?? -1))).wake();
    expect(asked).toHaveLength(100);
    expect(seen).toEqual([...seen.keys()]);
    const after = await look();
    expect(after.job).toMatchObject({ state: 'done' });
    expect(after.benchmark).toMatchObject({ executions: 200, wholeRounds: true, unit: 'hits' });
    expect(after.benchmark?.levels[0]?.round.slice(0, 5)).toEqual([0.2, 0.2, 0.2, 0.2, 0.2]);
  });

  it('is stopped by the coach, keeps its parts, and goes on from them', async () => {
    await change('POST');
    const asked: string[] = [];
    const run = quick(asked, async () => {
      if (asked.length === 7) await change('DELETE');
    });
    await queue(run).wake();
    expect((await look()).job).toMatchObject({ state: 'cancelled', done: 6 });
    expect((await change('POST')).job).toMatchObject({ state: 'queued', done: 6 });
    const more: string[] = [];
    await queue(quick(more)).wake();
    expect(more).toHaveLength(94);
    expect((await look()).benchmark).not.toBeNull();
  });

  it('of a server that is gone is taken over when its lease is over, and only then', async () => {
    await change('POST');
    const asked: string[] = [];
    const crash = quick(asked, () =>
      asked.length === 4 ? new Promise<void>(() => undefined) : Promise.resolve(),
    );
    void queue(crash).wake();
    await expect.poll(async () => (await look()).job?.done).toBe(3);
    const early: string[] = [];
    await queue(quick(early)).wake();
    expect(early).toEqual([]);
    await test.pool.execute('UPDATE benchmark_jobs SET lease_until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND');
    const late: string[] = [];
    await queue(quick(late)).wake();
    expect(late).toHaveLength(97);
    expect(late).not.toContain(asked[0]);
    expect((await look()).job).toMatchObject({ state: 'done' });
  });

  it('runs once with two servers at work', async () => {
    await change('POST');
    const asked: string[] = [];
    await Promise.all([queue(quick(asked), 2).wake(), queue(quick(asked), 2).wake()]);
    expect(asked).toHaveLength(100);
    expect(new Set(asked).size).toBe(100);
  });

  it('that fails says why, and can be tried again', async () => {
    await change('POST');
    await queue(() => Promise.reject(new Error('the cue is broken'))).wake();
    expect((await look()).job).toMatchObject({ state: 'failed', error: 'the cue is broken' });
    expect((await change('POST')).job).toMatchObject({ state: 'queued', error: null });
  });

  it('is let go of when its server stops, for the next one', async () => {
    await change('POST');
    const asked: string[] = [];
    const first: BenchmarkQueue = queue(
      quick(asked, () => {
        if (asked.length === 3) void first.stop();
        return Promise.resolve();
      }),
    );
    await first.wake();
    expect((await look()).job).toMatchObject({ state: 'queued', done: 3 });
  });

  it('gives for a position drill what its single shots give', async () => {
    const path = PATH.replace('frozen-pair', 'harbour-turn');
    await send(test.app, 'POST', `${path}/job`, { cookie: club.coach });
    await queue(({ document, begun, setting, part }) =>
      Promise.resolve(computePart(document, begun.stage, tableOfCard(setting.card, null), part)),
    ).wake();
    const { benchmark } = await look(path);
    expect(benchmark).toMatchObject({ executions: 2_000, wholeRounds: false });
    expect(benchmark?.levels.map(({ potted }) => potted)).toEqual(
      [...(benchmark?.levels ?? [])].map(({ potted }) => potted).sort((a, b) => (a ?? 0) - (b ?? 0)),
    );
  });

  it('is queued by itself when a round of its kind has ended, and not for calls', async () => {
    const round = randomUUID();
    const at = '2026-11-24T12:00:00Z';
    await send(test.app, 'PUT', `/api/rounds/${round}`, {
      cookie: club.coach,
      body: newRound(
        { playerId: club.playerId, tableId: club.poolTable },
        { drill: 'frozen-pair', startedAt: at },
      ),
    });
    await send(test.app, 'POST', `/api/rounds/${round}/end`, {
      cookie: club.coach,
      body: { endedAt: at, early: true },
    });
    const ofTable = `${PATH}?table=${club.poolTable}&revision=1`;
    expect((await look(ofTable)).job).toMatchObject({ state: 'queued' });
    const calls = PATH.replace('frozen-pair', 'in-or-out');
    expect(await look(calls)).toMatchObject({ playable: false, job: null });
    expect((await send(test.app, 'POST', `${calls}/job`, { cookie: club.coach })).status).toBe(404);
  });
});

describe('the benchmark of a ladder', () => {
  it('is its own for every rung at which rounds begin', async () => {
    const drill = 'after-the-break';
    const at = '2026-11-24T12:00:00Z';
    const path = PATH.replace('frozen-pair', drill);
    const ofTable = `${path}?table=${club.poolTable}&revision=1`;
    // On the ladder of four rungs the highest to begin at is the fourth, from 0.
    for (const [asked, begun] of [
      [2, 2],
      [9, 3],
    ] as const) {
      const round = randomUUID();
      await send(test.app, 'PUT', `/api/rounds/${round}`, {
        cookie: club.coach,
        body: newRound(
          { playerId: club.playerId, tableId: club.poolTable },
          { drill, startedAt: at, ladderStart: asked },
        ),
      });
      await send(test.app, 'POST', `/api/rounds/${round}/end`, {
        cookie: club.coach,
        body: { endedAt: at, early: true },
      });
      expect((await look(`${ofTable}&start=${String(begun)}`)).job).toMatchObject({ state: 'queued' });
    }
    expect((await look(ofTable)).job).toBeNull();
    const begins: number[] = [];
    await queue(
      quick([], ({ begun }) => {
        begins.push(begun.ladderStart);
        return Promise.resolve();
      }),
    ).wake();
    expect(new Set(begins)).toEqual(new Set([2, 3]));
    expect((await look(`${ofTable}&start=2`)).benchmark).not.toBeNull();
    expect((await look(ofTable)).benchmark).toBeNull();
    expect((await send(test.app, 'GET', `${ofTable}&start=x`, { cookie: club.coach })).status).toBe(400);
    // Where there is no ladder there is one beginning.
    await change('POST');
    expect((await look(`${PATH}?start=2`)).job).toMatchObject({ state: 'queued' });
  });
});

describe('beside the benchmark', () => {
  it('stand the coach’s own marks, which nobody else sees and which are taken away when empty', async () => {
    const path = PATH.replace(/benchmark$/, 'bands');
    const put = (from: readonly (number | null)[]) =>
      send(test.app, 'PUT', path, { cookie: club.coach, body: { from } });
    expect((await reply(await put([1, null, 4, 6, 9]))).fixed).toEqual([1, null, 4, 6, 9]);
    const stranger = await createTestClub(test, 'puffin');
    expect((await look(PATH, stranger.coach)).fixed).toBeNull();
    expect((await look(PATH, club.player)).fixed).toEqual([1, null, 4, 6, 9]);
    expect((await put([1, 2])).status).toBe(400);
    expect((await reply(await put([null, null, null, null, null]))).fixed).toBeNull();
  });

  it('stand the club’s own results, to a player only where nobody can be told from them', async () => {
    const result = (value: number) =>
      JSON.stringify({ value, unit: 'hits', better: 'high', maximum: 10, complete: true, censored: false });
    const insert = (playerId: string, value: number) =>
      test.pool.execute(
        `INSERT INTO rounds (id, club_id, player_id, recorded_by, table_id, table_fingerprint, drill, revision, stage,
           started_at, ended_at, ended_early, result)
         SELECT ?, ?, ?, ?, ?, table_fingerprint, 'frozen-pair', 1, 1, NOW(3), NOW(3), 0, ? FROM benchmark_jobs LIMIT 1`,
        [randomUUID(), club.id, playerId, playerId, club.poolTable, result(value)],
      );
    await change('POST');
    for (const value of [2, 4, 6, 8, 10]) await insert(club.playerId, value);
    const { club: own } = await look();
    expect(own).toMatchObject({ players: 1, rounds: 5, best: { value: 10 } });
    expect(own?.quartiles.map(({ value }) => value)).toEqual([4, 6, 8]);
    expect((await look(PATH, club.player)).club).toBeNull();
  });
});
