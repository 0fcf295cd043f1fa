import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { FIRST_RULES } from '../core/records/clubRules.ts';
import { maybeScreenSchema, screenPictureSchema, type Shown } from '../core/records/screen.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newLesson } from './testing/newLesson.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'sanderling');
});
afterAll(() => test.close());

const HOUR = 3_600_000;
const FIRST: Shown = { view: 'set up', set: 0 };

async function makeLesson(): Promise<string> {
  const id = randomUUID();
  const document = newLesson({ playerIds: [club.playerId], tableId: club.poolTable });
  const made = await send(test.app, 'PUT', `/api/lessons/${id}`, {
    cookie: club.coach,
    body: { document, basedOn: null },
  });
  expect(made.status).toBe(201);
  return id;
}

async function show(lesson: string, shown: Shown) {
  const reply = await send(test.app, 'PUT', `/api/lessons/${lesson}/screen`, {
    cookie: club.coach,
    body: { shown },
  });
  expect(reply.status).toBe(200);
  const { screen } = await maybeScreenSchema.validate(await reply.json());
  if (screen === null) throw new Error('no screen was opened');
  return screen;
}

const look = (code: string) => send(test.app, 'GET', `/api/screens/${code}`, {});
const picture = async (code: string) => screenPictureSchema.validate(await (await look(code)).json());

/** Reads events of a stream as they come; pings are left out. */
async function* eventsOf(
  response: Response,
): AsyncGenerator<{ readonly event: string; readonly data: string }, void> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  if (reader === undefined) throw new Error('no stream');
  let text = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return;
    text += value;
    for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
      const lines = text.slice(0, end).split('\n');
      text = text.slice(end + 2);
      const field = (name: string) =>
        lines.find((line) => line.startsWith(`${name}: `))?.slice(name.length + 2);
      const event = field('event') ?? '';
      if (event !== 'alive') yield { event, data: field('data') ?? '' };
    }
  }
}

describe('a second screen', () => {
  it('is opened by six letters, shows what the lesson shows, and nothing else of it', async () => {
    const lesson = await makeLesson();
    const { code } = await show(lesson, FIRST);
    expect(code).toMatch(/^[A-Z]{6}$/);
    const shown = await picture(code);
    expect(shown.shown).toEqual(FIRST);
    expect(shown.block?.drill.slug).toBe('harbour-turn');
    const text = JSON.stringify(shown);
    expect(text).not.toContain(club.playerId);
    expect(text).not.toContain('of sanderling');
    expect((await look(code.toLowerCase())).status).toBe(200);
    // The same code as long as it is open, whatever is shown.
    expect((await show(lesson, { view: 'task', set: 3 })).code).toBe(code);
    expect((await picture(code)).shown).toEqual({ view: 'task', set: 3 });
  });

  it('is told live what changes, and when it is closed', async () => {
    const lesson = await makeLesson();
    const { code } = await show(lesson, FIRST);
    const events = eventsOf(await send(test.app, 'GET', `/api/screens/${code}/live`, {}));
    const next = async () => {
      const told = await events.next();
      if (told.done === true) throw new Error('the stream is over');
      return told.value;
    };
    expect(screenPictureSchema.validateSync(JSON.parse((await next()).data)).shown.set).toBe(0);
    await show(lesson, { view: 'set up', set: 1 });
    expect(screenPictureSchema.validateSync(JSON.parse((await next()).data)).shown.set).toBe(1);
    await send(test.app, 'DELETE', `/api/lessons/${lesson}/screen`, { cookie: club.coach });
    expect((await next()).event).toBe('closed');
    expect((await events.next()).done).toBe(true);
    expect((await look(code)).status).toBe(404);
  });

  it('is over with its lesson, and after half a day; then there is a new code', async () => {
    const lesson = await makeLesson();
    const { code } = await show(lesson, FIRST);
    const before = test.clock.now;
    test.clock.now += 13 * HOUR;
    expect((await look(code)).status).toBe(404);
    const again = await show(lesson, FIRST);
    expect(again.code).not.toBe(code);
    test.clock.now = before;
    expect((await look(again.code)).status).toBe(200);
    await send(test.app, 'PUT', `/api/lessons/${lesson}/archived`, {
      cookie: club.coach,
      body: { archived: true },
    });
    expect((await look(again.code)).status).toBe(404);
  });

  it('two devices that open one at once open the same', async () => {
    const lesson = await makeLesson();
    const codes = await Promise.all([0, 1, 2, 3].map(async () => (await show(lesson, FIRST)).code));
    expect(new Set(codes).size).toBe(1);
    expect((await look(codes[0] ?? '')).status).toBe(200);
  });

  it('whoever guesses codes waits, and what is no code is none', async () => {
    expect((await look('ABC')).status).toBe(404);
    expect((await look('ABCDE1')).status).toBe(404);
    const wrong: number[] = [];
    for (let i = 0; i < 30; i++) wrong.push((await look('ZZZZZZ')).status);
    expect(wrong[0]).toBe(404);
    expect(wrong.at(-1)).toBe(429);
  });
});

describe('a club that wants no second screens', () => {
  it('has none: those that were open are closed, and none is opened', async () => {
    const own = await createTestClub(test, 'turnstone');
    const id = randomUUID();
    const document = newLesson({ playerIds: [own.playerId], tableId: own.poolTable });
    const ask = (method: string, path: string, body: object) =>
      send(test.app, method, path, { cookie: own.coach, body });
    await ask('PUT', `/api/lessons/${id}`, { document, basedOn: null });
    const opened = await ask('PUT', `/api/lessons/${id}/screen`, { shown: FIRST });
    const { screen } = await maybeScreenSchema.validate(await opened.json());
    expect(screen).not.toBeNull();
    const rules = { ...FIRST_RULES, screens: false };
    expect((await ask('PUT', '/api/club/rules', rules)).status).toBe(200);
    const there = await send(test.app, 'GET', `/api/lessons/${id}/screen`, { cookie: own.coach });
    expect(await there.json()).toEqual({ screen: null });
    expect((await ask('PUT', `/api/lessons/${id}/screen`, { shown: FIRST })).status).toBe(403);
  });
});
