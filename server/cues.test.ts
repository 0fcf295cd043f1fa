import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { cuesSchema, type CueDocument } from '../core/records/cue.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { PLAIN_CUE } from './testing/cues.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

const put = (id: string, document: unknown, archived = false, cookie = club.coach) =>
  send(test.app, 'PUT', `/api/cues/${id}`, { cookie, body: { document, archived } });
const list = async (cookie = club.coach) =>
  cuesSchema.validate(await (await send(test.app, 'GET', '/api/cues', { cookie })).json());

describe('the cues of a club', () => {
  it('are kept once however often they are sent, changed, put away and brought back', async () => {
    const id = randomUUID();
    for (let i = 0; i < 2; i++) expect((await put(id, PLAIN_CUE)).status).toBe(200);
    const measured: CueDocument = { ...PLAIN_CUE, endMass: 14, squirtBy: 'measured', ownerId: club.playerId };
    expect((await put(id, measured, true)).status).toBe(200);
    expect(await list()).toEqual([{ id, archived: true, document: measured }]);
    expect((await put(id, measured)).status).toBe(200);
    expect(await list(club.player)).toEqual([{ id, archived: false, document: measured }]);
    expect((await put(randomUUID(), PLAIN_CUE)).status).toBe(409);
  });

  it('are each club’s own', async () => {
    const stranger = await createTestClub(test, 'puffin');
    expect(await list(stranger.coach)).toEqual([]);
    const [first] = await list();
    expect((await put(first?.id ?? '', PLAIN_CUE, false, stranger.coach)).status).toBe(404);
    const borrowed = { ...PLAIN_CUE, name: 'Borrowed', ownerId: club.playerId };
    expect((await put(randomUUID(), borrowed, false, stranger.coach)).status).toBe(404);
  });

  it('are refused with the name of the field that is wrong', async () => {
    for (const [change, field] of [
      [{ name: '' }, 'document.name'],
      [{ weight: 12 }, 'document.weight'],
      [{ endMass: 10 }, 'document'],
      [{ squirtBy: 'test' }, 'document'],
      [{ colour: 'red' }, 'document'],
    ] as const) {
      const reply = await put(randomUUID(), { ...PLAIN_CUE, name: 'Another', ...change });
      expect([field, reply.status]).toEqual([field, 400]);
      expect(JSON.stringify(await reply.json())).toContain(field);
    }
  });
});
