import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  programmeSchema,
  programmesSchema,
  programmeWithRoundsSchema,
  type ProgrammeDocument,
} from '../core/records/programme.ts';
import { clubOverviewSchema } from '../core/records/clubOverview.ts';
import { playRound } from './testing/rounds.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

const entry = (day: string, drill = 'harbour-turn') => ({
  id: randomUUID(),
  day,
  drill,
  stage: 1,
  minutes: 20,
  kind: 'homework' as const,
  note: 'slowly',
});

/** The test's clock stands on Tuesday, the 24th of November 2026. */
const programme = (change: Partial<ProgrammeDocument> = {}): ProgrammeDocument => ({
  title: 'Before the winter',
  playerId: club.playerId,
  startDay: '2026-11-23',
  weeks: 2,
  matchDays: ['2026-11-28'],
  items: [entry('2026-11-24'), entry('2026-11-26'), entry('2026-12-01', 'anchor-drop')],
  ...change,
});

const call = (method: string, path: string, body?: unknown, cookie = club.coach) =>
  send(test.app, method, `/api/programmes${path}`, { cookie, ...(body === undefined ? {} : { body }) });
const read = async (id: string, cookie = club.coach) =>
  programmeWithRoundsSchema.validate(await (await call('GET', `/${id}`, undefined, cookie)).json());

async function stored(document = programme()): Promise<string> {
  const id = randomUUID();
  expect((await call('PUT', `/${id}`, { document, basedOn: null })).status).toBe(201);
  return id;
}

describe('a programme', () => {
  it('is stored once however often it is sent, and changed on its newest version alone', async () => {
    const id = await stored();
    await call('PUT', `/${id}`, { document: programme({ title: 'again' }), basedOn: null });
    const { programme: first } = await read(id);
    expect(first).toMatchObject({ version: 1, document: { title: 'Before the winter' } });
    const next = { ...first.document, title: 'After it' };
    expect((await call('PUT', `/${id}`, { document: next, basedOn: 1 })).status).toBe(200);
    expect((await call('PUT', `/${id}`, { document: next, basedOn: 1 })).status).toBe(409);
    const other = { ...next, playerId: club.otherId };
    expect((await call('PUT', `/${id}`, { document: other, basedOn: 2 })).status).toBe(400);
  });

  it('begins on a Monday, on a day that there is; its calendar is one line an entry whatever is noted', async () => {
    for (const startDay of ['2026-11-24', '2026-11-31', '0000-00-00', '2201-01-05']) {
      const bad = await call('PUT', `/${randomUUID()}`, { document: programme({ startDay }), basedOn: null });
      expect([startDay, bad.status]).toEqual([startDay, 400]);
    }
    const note = 'first\rDTSTART:19700101\r\nsecond\u2028third\u0007';
    const id = await stored(programme({ items: [{ ...entry('2026-11-24'), note }], title: 'Weeks\rX:1' }));
    const calendar = await (await call('GET', `/${id}/calendar.ics`)).text();
    // Lines end with CR LF and nothing else; what was noted stays inside its line.
    const inside = calendar.replaceAll('\r\n', '');
    for (const odd of ['\r', '\u2028', '\u0007']) expect(inside).not.toContain(odd);
    expect(calendar.split('\r\n').filter((line) => line.startsWith('DTSTART'))).toHaveLength(2);
    expect(calendar.split('\r\n').some((line) => line.startsWith('X:1'))).toBe(false);
  });

  it('refuses what is wrong by the name of its field', async () => {
    const bad = await call('PUT', `/${randomUUID()}`, {
      document: programme({ startDay: 'soon' }),
      basedOn: null,
    });
    expect(bad.status).toBe(400);
    expect(await bad.json()).toMatchObject({ error: { field: 'document.startDay' } });
  });

  it('is seen and ticked by its player, who changes nothing else and sees no one else’s', async () => {
    const id = await stored();
    const { programme: own } = await read(id, club.player);
    const [first] = own.document.items;
    const tick = (done: boolean) =>
      call('PUT', `/${id}/items/${first?.id ?? ''}/done`, { done }, club.player);
    const ticked = await programmeSchema.validate(await (await tick(true)).json());
    expect(ticked.ticks.map(({ item }) => item)).toEqual([first?.id]);
    await tick(true);
    expect((await read(id)).programme.ticks).toHaveLength(1);
    await tick(false);
    expect((await read(id)).programme.ticks).toEqual([]);
    expect((await call('PUT', `/${id}/items/${randomUUID()}/done`, { done: true })).status).toBe(404);
    // What is to come has not been done.
    const later = own.document.items.find(({ day }) => day === '2026-12-01');
    const early = await call('PUT', `/${id}/items/${later?.id ?? ''}/done`, { done: true }, club.player);
    expect(early.status).toBe(400);
    expect(await early.json()).toMatchObject({ error: { field: 'done' } });
    expect((await call('PUT', `/${id}`, { document: own.document, basedOn: 1 }, club.player)).status).toBe(
      403,
    );
    expect((await call('GET', `/${id}`, undefined, club.other)).status).toBe(404);
    const list = await programmesSchema.validate(await (await call('GET', '', undefined, club.other)).json());
    expect(list).toEqual([]);
  });

  it('is copied to other players, each copy once, with entries of its own', async () => {
    const id = await stored();
    const copies = [{ id: randomUUID(), playerId: club.otherId }];
    expect((await call('POST', `/${id}/copies`, { copies })).status).toBe(201);
    expect((await call('POST', `/${id}/copies`, { copies })).status).toBe(201);
    const { programme: copy } = await read(copies[0]?.id ?? '');
    const { programme: from } = await read(id);
    expect(copy.player.id).toBe(club.otherId);
    expect(copy.document.items.map(({ day }) => day)).toEqual(from.document.items.map(({ day }) => day));
    const ids = [...copy.document.items, ...from.document.items].map((item) => item.id);
    expect(new Set(ids).size).toBe(6);
  });

  it('is put away and brought back', async () => {
    const id = await stored();
    await call('PUT', `/${id}/archived`, { archived: true });
    expect((await read(id)).programme.archived).toBe(true);
    await call('PUT', `/${id}/archived`, { archived: false });
    expect((await read(id)).programme.archived).toBe(false);
  });

  it('goes into a calendar, each entry on its day, matches too', async () => {
    const id = await stored();
    const response = await call('GET', `/${id}/calendar.ics`, undefined, club.player);
    expect(response.headers.get('content-type')).toContain('text/calendar');
    const text = await response.text();
    expect(text.startsWith('BEGIN:VCALENDAR\r\n')).toBe(true);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(4);
    expect(text).toContain('DTSTART;VALUE=DATE:20261124');
    expect(text).toContain('DTEND;VALUE=DATE:20261125');
    expect(text).toContain('SUMMARY:Match');
  });

  it('knows the rounds of its weeks, and the club sees what is due', async () => {
    const me = await createTestClub(test, 'heron');
    const document = programme({ playerId: me.playerId });
    await send(test.app, 'PUT', `/api/programmes/${randomUUID()}`, {
      cookie: me.coach,
      body: { document, basedOn: null },
    });
    const overview = async () =>
      clubOverviewSchema.validate(
        await (
          await send(test.app, 'GET', '/api/club/overview?today=2026-11-24', { cookie: me.coach })
        ).json(),
      );
    const weekOf = async () => (await overview()).find(({ playerId }) => playerId === me.playerId)?.week;
    expect(await weekOf()).toEqual({ planned: 2, done: 0, due: 1 });
    await playRound(test, me, { drill: 'harbour-turn', at: '2026-11-24T11:00:00Z' });
    expect(await weekOf()).toEqual({ planned: 2, done: 1, due: 0 });
    expect((await send(test.app, 'GET', '/api/club/overview', { cookie: me.player })).status).toBe(403);
  });
});
