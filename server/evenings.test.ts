import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { eveningSchema, eveningWantsSchema } from '../core/records/evening.ts';
import { lessonWithRoundsSchema } from '../core/records/lesson.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newEvening } from './testing/newEvening.ts';
import { newLesson } from './testing/newLesson.ts';

let test: TestApp;
let club: TestClub;
let stranger: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
  stranger = await createTestClub(test, 'puffin');
});
afterAll(() => test.close());

const block = (playerId: string, from: number) => ({
  id: randomUUID(),
  drill: 'harbour-turn',
  stage: 1,
  minutes: 20,
  startedAt: null,
  endedAt: null,
  note: '<p>Slow down.</p>',
  playerId,
  from,
});

function table(eveningId: string, more: object = {}) {
  const document = {
    ...newLesson({ playerIds: [club.playerId, club.otherId], tableId: club.poolTable }),
    blocks: [block(club.playerId, 0), block(club.otherId, 20)],
    evening: newEvening(eveningId),
    ...more,
  };
  return { id: randomUUID(), document, basedOn: null as number | null };
}

const put = (id: string, lessons: readonly object[], cookie = club.coach) =>
  send(test.app, 'PUT', `/api/evenings/${id}`, { cookie, body: { lessons } });

async function read(id: string) {
  const reply = await send(test.app, 'GET', `/api/evenings/${id}`, { cookie: club.coach });
  return reply.status === 404 ? [] : eveningSchema.validate(await reply.json());
}

describe('an evening', () => {
  it('is stored once however often it is sent, and changed as one', async () => {
    const id = randomUUID();
    const lessons = [table(id), table(id)];
    for (let i = 0; i < 3; i++) expect((await put(id, lessons)).status).toBe(201);
    const stored = await read(id);
    expect(stored.map((each) => each.id).sort()).toEqual(lessons.map((each) => each.id).sort());
    const titled = (title: string, ...versions: readonly number[]) =>
      stored.map(({ id: lessonId, document }, i) => ({
        id: lessonId,
        document: { ...document, title },
        basedOn: versions[i] ?? null,
      }));
    // The second was changed elsewhere: neither is stored.
    const refused = await put(id, titled('New', 1, 7));
    expect(refused.status).toBe(409);
    expect(await refused.json()).toMatchObject({ error: { field: 'basedOn' } });
    expect((await read(id)).map(({ document }) => document.title)).not.toContain('New');
    expect((await put(id, titled('New', 1, 1))).status).toBe(201);
    expect((await read(id)).map(({ document }) => document.title)).toEqual(['New', 'New']);
  });

  it.each([
    ['another evening', 400, 'evening', (id: string) => [{ ...table(randomUUID()), id }]],
    ['no table', 400, 'lessons', () => []],
    [
      'a turn of somebody who is not there',
      400,
      'lessons[0].document',
      (id: string) => [table(id, { playerIds: [club.otherId] })],
    ],
    [
      'a table of another club',
      404,
      'tableId',
      (id: string) => [table(id), table(id, { tableId: stranger.poolTable })],
    ],
    [
      'a coach who is not one',
      404,
      'coachIds',
      (id: string) => {
        const { document, ...rest } = table(id);
        return [
          { ...rest, document: { ...document, evening: { ...document.evening, coachIds: [club.playerId] } } },
        ];
      },
    ],
  ])('with %s is refused, and nothing of it is stored', async (_name, status, field, lessons) => {
    const id = randomUUID();
    const reply = await put(id, lessons(id));
    expect(reply.status).toBe(status);
    expect(await reply.json()).toMatchObject({ error: { field } });
    expect(await read(id)).toEqual([]);
  });

  it('is not taken over by sending the ids of another club’s lessons', async () => {
    const id = randomUUID();
    const own = table(id);
    expect((await put(id, [own])).status).toBe(201);
    const theirs = {
      ...own,
      document: {
        ...own.document,
        tableId: stranger.poolTable,
        playerIds: [stranger.playerId],
        blocks: [],
      },
    };
    expect((await put(id, [theirs], stranger.coach)).status).toBe(404);
    expect((await read(id)).map(({ document }) => document.playerIds)).toEqual([own.document.playerIds]);
  });

  it('shows a student their own turns alone, without the notes', async () => {
    const id = randomUUID();
    const lesson = table(id);
    await put(id, [lesson]);
    const reply = await send(test.app, 'GET', `/api/lessons/${lesson.id}`, { cookie: club.player });
    const seen = (await lessonWithRoundsSchema.validate(await reply.json())).lesson.document;
    expect(seen.blocks.map(({ playerId, note }) => [playerId, note])).toEqual([[club.playerId, '']]);
    expect(JSON.stringify(seen)).not.toContain(club.otherId);
  });

  it('leaves no turn of somebody who was erased', async () => {
    const id = randomUUID();
    const lesson = table(id);
    const name = `tern-${id.slice(0, 6)}`;
    const person = await createTestClub(test, name);
    const theirs = {
      ...lesson,
      document: {
        ...lesson.document,
        tableId: person.poolTable,
        playerIds: [person.playerId, person.otherId],
        blocks: [block(person.playerId, 0), block(person.otherId, 20)],
      },
    };
    expect((await put(id, [theirs], person.coach)).status).toBe(201);
    const erased = await send(test.app, 'POST', `/api/players/${person.playerId}/erasure`, {
      cookie: person.coach,
      body: { name: `player of ${name}` },
    });
    expect(erased.status).toBe(200);
    const left = await send(test.app, 'GET', `/api/lessons/${lesson.id}`, { cookie: person.coach });
    const { document } = (await lessonWithRoundsSchema.validate(await left.json())).lesson;
    expect(document.blocks.map(({ playerId }) => playerId)).toEqual([person.otherId]);
    expect(JSON.stringify(document)).not.toContain(person.playerId);
  });

  it('knows for each player what to warm up with and what is gained by', async () => {
    const address = `/api/evenings/wants?players=${club.playerId},${club.otherId}`;
    const reply = await send(test.app, 'GET', address, { cookie: club.coach });
    const wants = await eveningWantsSchema.validate(await reply.json());
    expect(wants.map(({ playerId }) => playerId)).toEqual([club.playerId, club.otherId]);
    for (const { wants: own } of wants) {
      expect(own.some(({ kind }) => kind === 'warm-up')).toBe(true);
      expect(own.filter(({ kind }) => kind === 'main').length).toBeGreaterThan(3);
      for (const { tables } of own) expect(tables.length).toBeGreaterThan(0);
    }
    const none = await send(test.app, 'GET', '/api/evenings/wants?players=', { cookie: club.coach });
    expect(none.status).toBe(400);
    expect(await none.json()).toMatchObject({ error: { field: 'players' } });
  });
});
