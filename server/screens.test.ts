import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { setOrder } from '../core/drill/setOrder.ts';
import { atStage } from '../core/drill/stage.ts';
import { FIRST_RULES } from '../core/records/clubRules.ts';
import { lessonWithRoundsSchema } from '../core/records/lesson.ts';
import { maybeScreenSchema, screenPictureSchema, type Shown } from '../core/records/screen.ts';
import { buildTable } from '../core/table/table.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { eventsOf, nextOf } from './testing/events.ts';
import { newLesson } from './testing/newLesson.ts';
import { newRound } from './testing/newRound.ts';

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

async function lessonOf(id: string) {
  const reply = await send(test.app, 'GET', `/api/lessons/${id}`, { cookie: club.coach });
  return (await lessonWithRoundsSchema.validate(await reply.json())).lesson.document;
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

const TABLE = buildTable('pool-9ft');

/** Where the balls of the block that is played are to be set. */
async function ballsOn(code: string) {
  const { block } = await picture(code);
  return block === null ? [] : setOrder(atStage(block.drill, block.stage), TABLE.preset);
}

const look = (code: string) => send(test.app, 'GET', `/api/screens/${code}`, {});
const picture = async (code: string) => screenPictureSchema.validate(await (await look(code)).json());

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
    const next = () => nextOf(events);
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

  it('shows a position that is called: from where it is made up, and what was called only once it is revealed', async () => {
    const lesson = await makeLesson();
    const source = { kind: 'drill', slug: 'harbour-turn', stage: 1 } as const;
    const call = { kind: 'in-off or not', preset: 'pool-9ft', source, revealed: null } as const;
    const { code } = await show(lesson, { view: 'call', set: 0, call });
    const asked = await picture(code);
    expect(asked.shown.call).toEqual(call);
    expect(asked.callDrill?.slug).toBe('harbour-turn');
    const revealed = { answer: { kind: 'verdict', verdict: 'no' } } as const;
    await show(lesson, { view: 'call', set: 0, call: { ...call, revealed } });
    expect((await picture(code)).shown.call?.revealed).toEqual(revealed);
    await show(lesson, {
      view: 'call',
      set: 0,
      call: { ...call, source: { ...source, slug: 'no-such-drill' } },
    });
    expect((await picture(code)).callDrill).toBeNull();
    await show(lesson, { view: 'task', set: 0, call });
    expect((await picture(code)).callDrill).toBeNull();
    const wrong = await send(test.app, 'PUT', `/api/lessons/${lesson}/screen`, {
      cookie: club.coach,
      body: { shown: { view: 'call', set: 0, call: { ...call, revealed: { answer: { kind: 'guess' } } } } },
    });
    expect(wrong.status).toBe(400);
    expect(await wrong.text()).toContain('shown.call.revealed.answer');
  });

  it('tells which balls a camera sees beside their places, as long as the round is played', async () => {
    const lesson = await makeLesson();
    const { code } = await show(lesson, FIRST);
    const block = (await lessonOf(lesson)).blocks[0]?.id ?? '';
    const round = randomUUID();
    const ask = (method: string, path: string, body: unknown) =>
      send(test.app, method, `/api/rounds/${round}${path}`, { cookie: club.coach, body });
    const opened = newRound({ playerId: club.playerId, tableId: club.poolTable }, { drill: 'harbour-turn' });
    expect((await ask('PUT', '', { ...opened, lesson: { id: lesson, block } })).status).toBe(200);
    const beside = [
      { ball: '2', off: 0.04 },
      { ball: 'cue', off: null },
    ];
    expect((await ask('PUT', '/beside', { beside })).status).toBe(200);
    expect((await picture(code)).beside).toEqual(beside);
    // It belongs to what is shown, whatever else is shown.
    await show(lesson, { view: 'task', set: 0 });
    expect((await picture(code)).beside).toEqual(beside);
    expect((await ask('PUT', '/beside', { beside: [] })).status).toBe(200);
    expect((await picture(code)).beside).toEqual([]);
    const wrong = await ask('PUT', '/beside', { beside: [{ ball: '2', off: -1 }] });
    expect(wrong.status).toBe(400);
    expect(await wrong.text()).toContain('beside[0].off');
    await ask('PUT', '/beside', { beside });
    await ask('POST', '/end', { endedAt: '2026-11-24T12:30:00Z', early: true });
    expect((await picture(code)).beside).toEqual([]);
    await ask('PUT', '/beside', { beside });
    expect((await picture(code)).beside).toEqual([]);
  });

  it('shows a round in the mirror as it is played', async () => {
    const lesson = await makeLesson();
    const { code } = await show(lesson, FIRST);
    const { blocks } = await lessonOf(lesson);
    const written = await ballsOn(code);
    const opened = newRound({ playerId: club.playerId, tableId: club.poolTable }, { drill: 'harbour-turn' });
    const made = await send(test.app, 'PUT', `/api/rounds/${randomUUID()}`, {
      cookie: club.coach,
      body: { ...opened, mirrored: true, lesson: { id: lesson, block: blocks[0]?.id ?? '' } },
    });
    expect(made.status).toBe(200);
    const mirrored = await ballsOn(code);
    expect(mirrored.map(({ id }) => id)).toEqual(written.map(({ id }) => id));
    mirrored.forEach(({ x, y }, i) => {
      expect(x).toBeCloseTo(written[i]?.x ?? 0, 9);
      expect(y).toBeCloseTo(TABLE.width - (written[i]?.y ?? 0), 9);
      // Neither lies in the middle, where a mirror would change nothing.
      expect(Math.abs(y - TABLE.width / 2)).toBeGreaterThan(0.01);
    });
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
