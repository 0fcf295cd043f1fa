import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { lessonSchema, lessonsSchema, lessonWithRoundsSchema } from '../core/records/lesson.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newRound } from './testing/newRound.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

const block = () => ({
  id: randomUUID(),
  drill: 'harbour-turn',
  stage: 1,
  minutes: 20,
  startedAt: null,
  endedAt: null,
  note: '',
});

function lesson(change: Record<string, unknown> = {}) {
  return {
    title: 'Tuesday evening',
    day: '2026-11-24',
    tableId: club.poolTable,
    playerIds: [club.playerId],
    turns: 'after each round',
    blocks: [block()],
    startedAt: null,
    endedAt: null,
    summary: '',
    ...change,
  };
}

function put(id: string, document: unknown, basedOn: number | null, cookie = club.coach) {
  return send(test.app, 'PUT', `/api/lessons/${id}`, { cookie, body: { document, basedOn } });
}

async function read(id: string, cookie = club.coach) {
  const response = await send(test.app, 'GET', `/api/lessons/${id}`, { cookie });
  return lessonWithRoundsSchema.validate(await response.json());
}

describe('a lesson', () => {
  it('is made once however often it is sent, and a change says on which version it was written', async () => {
    const id = randomUUID();
    const first = lesson();
    for (let i = 0; i < 3; i++) expect((await put(id, first, null)).status).toBe(201);
    const changed = { ...first, summary: '<p>Good pace.</p>' };
    const reply = await put(id, changed, 1);
    expect((await lessonSchema.validate(await reply.json())).version).toBe(2);
    const stale = await put(id, { ...first, title: 'From an old page' }, 1);
    expect(stale.status).toBe(409);
    expect(await stale.json()).toMatchObject({ error: { field: 'basedOn' } });
    expect((await read(id)).lesson.document).toEqual(changed);
  });

  it('is seen by who is in it, and changed by the coach alone', async () => {
    const id = randomUUID();
    await put(id, lesson(), null);
    expect((await read(id, club.player)).lesson.document.title).toBe('Tuesday evening');
    expect((await send(test.app, 'GET', `/api/lessons/${id}`, { cookie: club.other })).status).toBe(404);
    expect((await put(id, lesson({ title: 'Mine' }), 1, club.player)).status).toBe(403);
    const listed = await send(test.app, 'GET', '/api/lessons', { cookie: club.other });
    expect((await lessonsSchema.validate(await listed.json())).map((each) => each.id)).not.toContain(id);
  });

  it('of a group tells a student neither who else is there nor what was noted', async () => {
    const id = randomUUID();
    const noted = { ...block(), note: '<p>Both hurry.</p>' };
    const group = lesson({
      playerIds: [club.playerId, club.otherId],
      blocks: [noted],
      summary: '<p>The other one talks too much.</p>',
    });
    await put(id, group, null);
    const { document } = (await read(id, club.player)).lesson;
    expect(document.playerIds).toEqual([club.playerId]);
    expect([document.blocks[0]?.note, document.summary]).toEqual(['', '']);
    const list = await lessonsSchema.validate(
      await (await send(test.app, 'GET', '/api/lessons', { cookie: club.player })).json(),
    );
    expect(JSON.stringify(list)).not.toContain(club.otherId);
    expect((await read(id)).lesson.document).toEqual(group);
  });

  it('of a student alone is practice without a coach', async () => {
    const id = randomUUID();
    expect((await put(id, lesson({ title: 'Practice' }), null, club.player)).status).toBe(201);
    expect((await read(id, club.player)).lesson.heldBy.id).toBe(club.playerId);
    const begun = lesson({ title: 'Practice', startedAt: '2026-11-24T18:00:00Z' });
    expect((await put(id, begun, 1, club.player)).status).toBe(200);
    const withOther = lesson({ playerIds: [club.playerId, club.otherId] });
    expect((await put(randomUUID(), withOther, null, club.player)).status).toBe(404);
  });

  it('holds its rounds, each in its block', async () => {
    const id = randomUUID();
    const document = lesson();
    const blockId = document.blocks[0]?.id ?? '';
    await put(id, document, null);
    const round = randomUUID();
    const made = await send(test.app, 'PUT', `/api/rounds/${round}`, {
      cookie: club.coach,
      body: newRound(
        { playerId: club.playerId, tableId: club.poolTable },
        { lesson: { id, block: blockId }, startedAt: '2026-11-24T18:00:00Z' },
      ),
    });
    expect(made.status).toBe(200);
    expect((await read(id)).rounds).toMatchObject([{ id: round, lesson: { id, block: blockId } }]);
  });

  it('that is put away can be brought back', async () => {
    const id = randomUUID();
    await put(id, lesson(), null);
    const archive = async (archived: boolean) => {
      const url = `/api/lessons/${id}/archived`;
      const reply = await send(test.app, 'PUT', url, { cookie: club.coach, body: { archived } });
      return (await lessonSchema.validate(await reply.json())).archived;
    };
    expect(await archive(true)).toBe(true);
    expect(await archive(false)).toBe(false);
  });

  it.each([
    ['nobody in it', { playerIds: [] }, 'document.playerIds'],
    ['a player twice', () => ({ playerIds: [club.playerId, club.playerId] }), 'document.playerIds'],
    ['a day that is none', { day: 'Tuesday' }, 'document.day'],
    ['a block of no minutes', () => ({ blocks: [{ ...block(), minutes: 0 }] }), 'document.blocks[0].minutes'],
    ['a note without end', () => ({ summary: 'x'.repeat(2_501) }), 'document.summary'],
  ])('with %s is refused, and names the field', async (_, change, field) => {
    const document = lesson(typeof change === 'function' ? change() : change);
    const response = await put(randomUUID(), document, null);
    expect(response.status).toBe(400);
    expect(await response.json()).toMatchObject({ error: { field } });
  });
});
