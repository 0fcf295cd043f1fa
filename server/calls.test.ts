import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { callsSchema } from '../core/records/call.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';

let test: TestApp;
let club: TestClub;
beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'ferry');
});
afterAll(() => test.close());

const call = (change: object = {}) => ({
  playerId: club.playerId,
  kind: 'how long is the window',
  preset: 'snooker-12ft',
  source: { kind: 'seed', seed: 12, difficulty: 'close' },
  answer: { kind: 'length', metres: 0.4 },
  score: 0.8,
  coach: null,
  calledAt: '2026-11-24T12:00:00.000Z',
  ...change,
});

const put = (cookie: string, id: string, body: object) =>
  send(test.app, 'PUT', `/api/calls/${id}`, { cookie, body });
const kept = async () =>
  callsSchema.validate(
    await (await send(test.app, 'GET', `/api/players/${club.playerId}/calls`, { cookie: club.coach })).json(),
  );

describe('a call', () => {
  it('is kept once however often it is sent, as it was sent first', async () => {
    const id = randomUUID();
    const first = await put(club.player, id, call());
    expect(first.status).toBe(200);
    const again = await put(club.player, id, call({ score: 0.1 }));
    expect(again.status).toBe(200);
    expect(await again.json()).toEqual(await first.json());
    const calls = await kept();
    expect(calls.filter((each) => each.id === id)).toHaveLength(1);
    expect(calls.find((each) => each.id === id)).toMatchObject({
      score: 0.8,
      answer: { kind: 'length', metres: 0.4 },
    });
  });

  it('comes back with the coach’s locked answer, newest first', async () => {
    const coach = { answer: { kind: 'length', metres: 0.5 }, score: 1 };
    const early = randomUUID();
    const late = randomUUID();
    await put(club.coach, early, call({ coach, calledAt: '2026-11-24T13:00:00.000Z' }));
    await put(
      club.player,
      late,
      call({
        source: { kind: 'drill', slug: 'harbour-turn', stage: 2 },
        calledAt: '2026-11-24T14:00:00.000Z',
      }),
    );
    const calls = await kept();
    expect(calls.map(({ id }) => id).indexOf(late)).toBeLessThan(calls.map(({ id }) => id).indexOf(early));
    expect(calls.find(({ id }) => id === early)?.coach).toEqual(coach);
    expect(calls.find(({ id }) => id === late)?.source).toEqual({
      kind: 'drill',
      slug: 'harbour-turn',
      stage: 2,
    });
  });

  it('has no second opinion from a player', async () => {
    const reply = await put(
      club.player,
      randomUUID(),
      call({ coach: { answer: { kind: 'length', metres: 1 }, score: 1 } }),
    );
    expect(reply.status).toBe(403);
    expect(await reply.json()).toMatchObject({ error: { field: 'coach' } });
  });

  it.each([
    ['an answer to another question', { answer: { kind: 'side', side: 'left' } }, 'answer.kind'],
    ['an answer of no kind', { answer: { kind: 'guess' } }, 'answer'],
    ['a score beyond one', { score: 1.2 }, 'score'],
    ['a source of no kind', { source: { kind: 'dream' } }, 'source'],
    ['a kind that nobody asks', { kind: 'who wins' }, 'kind'],
    [
      'one point for a path',
      { kind: 'draw the path', answer: { kind: 'path', points: [{ x: 1, y: 1 }] } },
      'points',
    ],
  ])('with %s is refused, and the field named', async (_, change, field) => {
    const reply = await put(club.player, randomUUID(), call(change));
    expect(reply.status).toBe(400);
    expect(JSON.stringify(await reply.json())).toContain(field);
  });

  it('of another club under the same id is not shown', async () => {
    const other = await createTestClub(test, 'pier');
    const id = randomUUID();
    await put(club.player, id, call());
    const reply = await put(other.player, id, call({ playerId: other.playerId }));
    expect(reply.status).toBe(404);
  });
});
