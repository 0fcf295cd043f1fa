import type { RowDataPacket } from 'mysql2/promise';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { callsSchema } from '../../core/records/call.ts';
import { lessonsSchema, lessonWithRoundsSchema } from '../../core/records/lesson.ts';
import { progressSchema } from '../../core/records/progress.ts';
import { playersSchema } from '../../core/records/player.ts';
import { roundsSchema } from '../../core/records/round.ts';
import { todaySchema } from '../../core/records/today.ts';
import { cookieOf, post, send, type TestApp } from '../testing/club.ts';
import { openDemoApp } from '../testing/demo.ts';
import { verifyRounds } from '../rounds/verify.ts';
import { loadDemo } from './load.ts';
import { DEMO_PLAYERS, DEMO_SIGN_INS } from './people.ts';

let test: TestApp;
let cookie: string;

beforeAll(async () => {
  test = await openDemoApp();
  const coach = DEMO_SIGN_INS[0];
  cookie = cookieOf(await post(test.app, '/api/sign-in', { email: coach?.email, password: coach?.password }));
}, 120_000);
afterAll(() => test.close());

async function scoresOf(name: string, drill: string): Promise<number[]> {
  const players = await playersSchema.validate(
    await (await send(test.app, 'GET', '/api/players', { cookie })).json(),
  );
  const id = players.find((player) => player.name === name)?.id ?? '';
  const response = await send(test.app, 'GET', `/api/players/${id}/rounds?drill=${drill}`, { cookie });
  const rounds = await roundsSchema.validate(await response.json());
  return rounds.map((round) => round.attempts.reduce((sum, each) => sum + each.points, 0));
}

const average = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

it('has a dozen players with complete rounds over months, and is loaded once', async () => {
  const players = await playersSchema.validate(
    await (await send(test.app, 'GET', '/api/players', { cookie })).json(),
  );
  expect(players.map((player) => player.name).sort()).toEqual(
    DEMO_PLAYERS.map((player) => player.name).sort(),
  );
  expect(players.every((player) => player.rounds >= 5)).toBe(true);
  expect(await loadDemo(test.pool, test.clock.now)).toBe(false);
});

it('has rounds that keep what their attempts give, so that no page has to count them', async () => {
  const [[kept]] = await test.pool.execute<(RowDataPacket & { without: number; id: string })[]>(
    `SELECT SUM(ended_at IS NOT NULL AND (result IS NULL OR sums IS NULL)) AS without, MIN(club_id) AS id FROM rounds`,
  );
  expect(Number(kept?.without)).toBe(0);
  const findings: unknown[] = [];
  for await (const finding of verifyRounds(test.pool, kept?.id ?? '', false)) findings.push(finding);
  expect(findings).toEqual([]);
});

it('shows a climb and a comeback in the scores that the real code counted', async () => {
  const climb = await scoresOf('Wren Sallow', 'harbour-turn');
  expect(average(climb.slice(-6))).toBeGreaterThan(average(climb.slice(0, 6)) + 3);
  const comeback = await scoresOf('Junia Marsh', 'harbour-turn');
  const [before, slump, after] = [comeback.slice(0, 6), comeback.slice(8, 12), comeback.slice(-4)];
  expect(average(slump)).toBeLessThan(average(before) - 2);
  expect(average(after)).toBeGreaterThan(average(slump) + 2);
});

it('has players who called positions, well but not always right, and others who did not', async () => {
  const players = await playersSchema.validate(
    await (await send(test.app, 'GET', '/api/players', { cookie })).json(),
  );
  const counts: number[] = [];
  const scores: number[] = [];
  for (const { id } of players) {
    const reply = await send(test.app, 'GET', `/api/players/${id}/calls`, { cookie });
    const calls = await callsSchema.validate(await reply.json());
    counts.push(calls.length);
    scores.push(...calls.map(({ score }) => score));
  }
  expect(counts.filter((count) => count > 4).length).toBeGreaterThan(2);
  expect(counts).toContain(0);
  expect(average(scores)).toBeGreaterThan(0.4);
  expect(average(scores)).toBeLessThan(0.98);
});

it('lets each of its sign-ins in', async () => {
  for (const { email, password } of DEMO_SIGN_INS) {
    expect((await post(test.app, '/api/sign-in', { email, password })).status).toBe(200);
  }
});

it('has an evening that is over, with its rounds, and one that waits', async () => {
  const lessons = await lessonsSchema.validate(
    await (await send(test.app, 'GET', '/api/lessons', { cookie })).json(),
  );
  const own = lessons.filter(({ document }) => document.evening === undefined);
  expect(own.map(({ document }) => document.endedAt === null)).toEqual([true, false]);
  const over = own[1];
  const reply = await send(test.app, 'GET', `/api/lessons/${over?.id ?? ''}`, { cookie });
  const { rounds } = await lessonWithRoundsSchema.validate(await reply.json());
  expect(rounds.map(({ drill }) => drill).sort()).toEqual([
    'frozen-pair',
    'frozen-pair',
    'harbour-turn',
    'harbour-turn',
  ]);
  expect(rounds.every(({ result }) => result.complete)).toBe(true);
});

it('has an evening planned: everybody comes to the table, nobody twice at once', async () => {
  const lessons = await lessonsSchema.validate(
    await (await send(test.app, 'GET', '/api/lessons', { cookie })).json(),
  );
  const planned = lessons.filter(({ document }) => document.evening !== undefined);
  const turns = planned.flatMap(({ document }) => document.blocks);
  expect(planned).toHaveLength(2);
  expect(new Set(turns.map(({ playerId }) => playerId)).size).toBe(5);
  const at = turns.map(({ playerId, from }) => `${playerId ?? ''} ${from ?? ''}`);
  expect(new Set(at).size).toBe(turns.length);
});

it('says on the page of today what the last rounds are worth', async () => {
  const today = await todaySchema.validate(
    await (await send(test.app, 'GET', '/api/today', { cookie })).json(),
  );
  const rated = today.recent.flatMap(({ drill, stage, result, rating }) =>
    rating === null ? [] : [{ of: `${drill} ${stage}`, score: result.value, rating }],
  );
  expect(rated.length).toBeGreaterThan(2);
  for (const one of rated) {
    expect(one.rating).toBeGreaterThanOrEqual(0);
    expect(one.rating).toBeLessThanOrEqual(100);
    // Of two rounds of a kind the better one is never worth less; what the demo plays last counts points and hits.
    for (const other of rated.filter(({ of, score }) => of === one.of && score > one.score))
      expect(other.rating).toBeGreaterThanOrEqual(one.rating);
  }
  const best = rated.toSorted((x, y) => y.rating - x.rating)[0];
  expect(best?.score).toBeGreaterThan(0);
});

async function progressOf(name: string) {
  const players = await playersSchema.validate(
    await (await send(test.app, 'GET', '/api/players', { cookie })).json(),
  );
  const id = players.find((player) => player.name === name)?.id ?? '';
  const response = await send(test.app, 'GET', `/api/players/${id}/progress`, { cookie });
  return progressSchema.validate(await response.json());
}

it('rates its players near the level at which they were played, and says where they go', async () => {
  const control = async (name: string) =>
    (await progressOf(name)).ratings.find(({ skill }) => skill === 'cue-ball control');
  const [wren, pim, bede] = await Promise.all(['Wren Sallow', 'Pim Thorncot', 'Bede Harrow'].map(control));
  // Wren climbs from 34 to 62, recent rounds weigh more; Pim is in the first week at 6 to 12; Bede is at 78 to 84.
  expect(wren).toMatchObject({ course: 'up' });
  expect(wren?.rating).toBeGreaterThan(42);
  expect(wren?.rating).toBeLessThan(68);
  expect(pim?.rating).toBeLessThan(25);
  expect(bede?.rating).toBeGreaterThan(68);
  expect((pim?.high ?? 0) - (pim?.low ?? 0)).toBeGreaterThan((wren?.high ?? 0) - (wren?.low ?? 0));
  const junia = await progressOf('Junia Marsh');
  expect(junia.ratings.find(({ skill }) => skill === 'cue-ball control')?.comeback).toBe(true);
});

it('takes a period in days, and refuses what is none', async () => {
  const [player] = await playersSchema.validate(
    await (await send(test.app, 'GET', '/api/players', { cookie })).json(),
  );
  const ask = (days: string) =>
    send(test.app, 'GET', `/api/players/${player?.id ?? ''}/progress?days=${days}`, { cookie });
  const year = await progressSchema.validate(await (await ask('365')).json());
  const month = await progressSchema.validate(await (await ask('30')).json());
  const rounds = (progress: typeof year) => progress.kinds.reduce((sum, kind) => sum + kind.rounds, 0);
  expect(rounds(month)).toBeGreaterThan(0);
  expect(rounds(month)).toBeLessThan(rounds(year));
  for (const bad of ['0', '1.5', 'month', '99999']) expect((await ask(bad)).status).toBe(400);
});
