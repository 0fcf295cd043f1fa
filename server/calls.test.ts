import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { poseFromSeed } from '../core/judgement/pose.ts';
import { buildTable } from '../core/table/table.ts';
import { callsSchema } from '../core/records/call.ts';
import { progressSchema } from '../core/records/progress.ts';
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
    const again = await put(club.player, id, call({ answer: { kind: 'length', metres: 9 } }));
    expect(again.status).toBe(200);
    expect(await again.json()).toEqual(await first.json());
    const calls = await kept();
    expect(calls.filter((each) => each.id === id)).toHaveLength(1);
    expect(calls.find((each) => each.id === id)).toMatchObject({
      answer: { kind: 'length', metres: 0.4 },
    });
  });

  it('sent again while it is still being scored waits for the same score', async () => {
    let scored = 0;
    let open = () => {};
    const opened = new Promise<void>((resolve) => (open = resolve));
    const slow = await createTestApp({
      scoreCall: async () => {
        scored++;
        await opened;
        return { score: 0.25, coachScore: null };
      },
    });
    try {
      const there = await createTestClub(slow, 'mole');
      const id = randomUUID();
      const sendIt = () =>
        send(slow.app, 'PUT', `/api/calls/${id}`, {
          cookie: there.player,
          body: { ...call(), playerId: there.playerId },
        });
      const all = [sendIt(), sendIt(), sendIt()];
      await expect.poll(() => scored).toBe(1);
      open();
      expect((await Promise.all(all)).map(({ status }) => status)).toEqual([200, 200, 200]);
      expect(scored).toBe(1);
    } finally {
      await slow.close();
    }
  });

  it('is worth what the server finds, whatever the device says of it', async () => {
    const question = poseFromSeed(buildTable('snooker-12ft'), 'how long is the window', 'close', 12);
    if (question?.kind !== 'how long is the window') throw new Error('no such position');
    const worth = async (metres: number, score: number) => {
      const id = randomUUID();
      await put(club.player, id, call({ answer: { kind: 'length', metres }, score }));
      return (await kept()).find((each) => each.id === id)?.score;
    };
    expect(await worth(question.truth, 0)).toBeCloseTo(1, 9);
    expect(await worth(question.truth / 2, 1)).toBeCloseTo(0.5, 9);
    const nowhere = call({ source: { kind: 'drill', slug: 'no-such-drill', stage: 1 } });
    const refused = await put(club.player, randomUUID(), nowhere);
    expect(refused.status).toBe(400);
    expect(await refused.json()).toMatchObject({ error: { field: 'source' } });
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
        preset: 'pool-9ft',
        source: { kind: 'drill', slug: 'harbour-turn', stage: 2 },
        calledAt: '2026-11-24T14:00:00.000Z',
      }),
    );
    const calls = await kept();
    expect(calls.map(({ id }) => id).indexOf(late)).toBeLessThan(calls.map(({ id }) => id).indexOf(early));
    expect(calls.find(({ id }) => id === early)?.coach?.answer).toEqual(coach.answer);
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
    ['a second opinion that is a text', { coach: 'mine' }, '"field":"coach"'],
    ['an answer that is nothing', { answer: null }, '"field":"answer"'],
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

describe('a player’s judgement', () => {
  it('is the level that calls as they do: higher for who is right, and no level where nobody virtual calls', async () => {
    const rated = async (name: string, score: number, kind: object) => {
      const scored = await createTestApp({ scoreCall: () => Promise.resolve({ score, coachScore: null }) });
      try {
        const there = await createTestClub(scored, name);
        for (let k = 0; k < 8; k++) {
          const body = { ...call(kind), playerId: there.playerId };
          const reply = await send(scored.app, 'PUT', `/api/calls/${randomUUID()}`, {
            cookie: there.player,
            body,
          });
          expect(reply.status).toBe(200);
        }
        const reply = await send(
          scored.app,
          'GET',
          `/api/players/${there.playerId}/progress?from=2026-11-01T00:00:00.000Z&to=2026-11-25T00:00:00.000Z`,
          { cookie: there.coach },
        );
        const { ratings } = await progressSchema.validate(await reply.json());
        return ratings.find(({ skill }) => skill === 'judgement');
      } finally {
        await scored.close();
      }
    };
    const path = {
      kind: 'draw the path',
      answer: {
        kind: 'path',
        points: [
          { x: 1, y: 1 },
          { x: 1, y: 0.5 },
        ],
      },
    };
    const good = await rated('good', 0.9, path);
    const poor = await rated('poor', 0.3, path);
    expect(good?.rounds).toBe(8);
    expect(good?.rating ?? 0).toBeGreaterThan((poor?.rating ?? 100) + 20);
    expect(good?.low).toBeGreaterThan(poor?.rating ?? 100);
    const silent = { kind: 'pot or safe', answer: { kind: 'pick', pick: 'pot' } };
    expect(await rated('silent', 1, silent)).toBeUndefined();
  });
});
