import { afterAll, beforeAll, expect, it } from 'vitest';
import { callsSchema } from '../../core/records/call.ts';
import { playersSchema, roundsSchema } from '../../core/records/club.ts';
import { createTestApp, cookieOf, post, send, type TestApp } from '../testing/club.ts';
import { loadDemo } from './load.ts';
import { DEMO_PLAYERS, DEMO_SIGN_INS } from './people.ts';

let test: TestApp;
let cookie: string;

beforeAll(async () => {
  test = await createTestApp({ demoSignIns: DEMO_SIGN_INS });
  expect(await loadDemo(test.pool, test.clock.now)).toBe(true);
  const coach = DEMO_SIGN_INS[0];
  cookie = cookieOf(await post(test.app, '/api/sign-in', { email: coach?.email, password: coach?.password }));
}, 120_000);
afterAll(() => test.close());

async function scoresOf(name: string, drill: string): Promise<number[]> {
  const players = await playersSchema.validate(
    await (await send(test.app, 'GET', '/api/players', { cookie })).json(),
  );
  const id = players.find((player) => player.name === name)?.id ?? '';
  const response = await send(test.app, 'GET', `/api/players/${id}/rounds`, { cookie });
  const rounds = await roundsSchema.validate(await response.json());
  return rounds
    .filter((round) => round.drill === drill)
    .map((round) => round.attempts.reduce((sum, each) => sum + each.points, 0));
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
