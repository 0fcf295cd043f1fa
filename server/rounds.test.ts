import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { openRoundSchema, roundsSchema, storedSchema } from '../core/records/club.ts';
import { reviewLanding } from '../core/scoring/landing.ts';
import { buildTable } from '../core/table/table.ts';
import { chanceAt } from '../core/planning/window.ts';
import { findDrill, LIBRARY } from './db/queries/drills.ts';
import { planFor } from './drills/plans.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';

let test: TestApp;
let club: TestClub;
let round: string;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

function roundBody(change: Record<string, unknown> = {}) {
  return {
    playerId: club.playerId,
    tableId: club.poolTable,
    tableRevision: 1,
    conditionsId: null,
    drill: 'harbour-turn',
    revision: 1,
    stage: 2,
    startedAt: '2026-11-24T12:00:00Z',
    ...change,
  };
}

beforeEach(async () => {
  round = randomUUID();
  const made = await send(test.app, 'PUT', `/api/rounds/${round}`, { cookie: club.coach, body: roundBody() });
  expect(made.status).toBe(200);
});

const LANDING = { x: 1.4, y: 0.52 };

function attempt(change: Record<string, unknown> = {}) {
  return {
    ordinal: 1,
    outcome: 'potted',
    landing: LANDING,
    points: 3,
    playedAt: '2026-11-24T12:01:00Z',
    ...change,
  };
}

function put(id: string, body: unknown, cookie = club.coach) {
  return send(test.app, 'PUT', `/api/rounds/${round}/attempts/${id}`, { cookie, body });
}

async function stored() {
  const response = await send(test.app, 'GET', `/api/rounds/${round}`, { cookie: club.coach });
  return (await openRoundSchema.validate(await response.json())).round;
}

describe('an attempt', () => {
  it('is counted by the server from where the cue ball stopped', async () => {
    const response = await put(randomUUID(), attempt({ points: 0 }));
    expect(response.status).toBe(201);
    const { attempt: kept } = await storedSchema.validate(await response.json());
    const entry = await findDrill(test.pool, LIBRARY, 'harbour-turn', 1);
    if (entry === undefined) throw new Error('no drill');
    const plan = planFor(entry, 2, buildTable('pool-9ft'));
    const chance = chanceAt(plan.window, LANDING);
    const bands = entry.document.stages[1]?.bands ?? [];
    expect(kept.points).toBe(bands.filter((band) => chance >= band.chance).length);
    expect(kept.along).toBeCloseTo(reviewLanding(plan, LANDING).along, 9);
  });

  it('sent again and again, at once or later, is stored once', async () => {
    const id = randomUUID();
    const replies = await Promise.all(Array.from({ length: 8 }, () => put(id, attempt())));
    expect(replies.map((reply) => reply.status).sort()).toEqual([200, 200, 200, 200, 200, 200, 200, 201]);
    expect((await put(id, attempt())).status).toBe(200);
    expect((await stored()).attempts).toHaveLength(1);
  });

  it('of a shot that is already scored is refused, and changes nothing', async () => {
    await put(randomUUID(), attempt());
    const second = await put(randomUUID(), attempt({ outcome: 'missed', landing: null, points: 0 }));
    expect(second.status).toBe(409);
    expect(await second.json()).toMatchObject({ error: { field: 'ordinal' } });
    expect((await stored()).attempts).toMatchObject([{ outcome: 'potted' }]);
  });

  it('is taken back and brought back', async () => {
    const id = randomUUID();
    await put(id, attempt());
    await send(test.app, 'DELETE', `/api/rounds/${round}/attempts/${id}`, { cookie: club.coach });
    expect((await stored()).attempts).toHaveLength(0);
    await put(id, attempt());
    expect((await stored()).attempts).toMatchObject([{ id }]);
  });

  it('taken back makes room for another one of the same shot', async () => {
    const [first, second] = [randomUUID(), randomUUID()];
    await put(first, attempt());
    await send(test.app, 'DELETE', `/api/rounds/${round}/attempts/${first}`, { cookie: club.coach });
    expect((await put(second, attempt({ outcome: 'in-off', landing: null, points: 0 }))).status).toBe(201);
    expect((await put(first, attempt())).status).toBe(409);
    expect((await stored()).attempts).toMatchObject([{ id: second, outcome: 'in-off', points: 0 }]);
  });

  it.each([
    ['a negative score', { points: -1 }, 'points'],
    ['more points than the drill gives', { points: 4 }, 'points'],
    ['a ball off the table', { landing: { x: 9, y: 0.5 } }, 'landing.x'],
    ['a ball behind the cushion', { landing: { x: 1, y: -0.2 } }, 'landing.y'],
    ['a pot without a landing', { landing: null }, 'landing'],
    ['a miss with a landing', { outcome: 'missed' }, 'landing'],
    ['an unknown outcome', { outcome: 'lucky' }, 'outcome'],
    ['the eleventh shot of ten', { ordinal: 11 }, 'ordinal'],
    ['a shot number that is a text', { ordinal: '1' }, 'ordinal'],
    ['a time that is none', { playedAt: 'yesterday' }, 'playedAt'],
    ['a field that is not known', { cheat: true }, 'cheat'],
    ['a landing that is not a number', { landing: { x: 'left', y: 0.5 } }, 'landing.x'],
  ])('with %s is refused, names the field and changes nothing', async (_, change, field) => {
    const response = await put(randomUUID(), attempt(change));
    expect(response.status).toBe(400);
    const reply: unknown = await response.json();
    expect(reply).toMatchObject({ error: { field } });
    expect((await stored()).attempts).toHaveLength(0);
  });

  it('as malformed JSON, as something else than JSON, or as ten megabytes is refused', async () => {
    const url = `/api/rounds/${round}/attempts/${randomUUID()}`;
    const raw = (body: string, type = 'application/json') =>
      test.app.request(url, { method: 'PUT', headers: { cookie: club.coach, 'content-type': type }, body });
    const broken = await raw('{"ordinal": 1,');
    expect(broken.status).toBe(400);
    expect(await broken.json()).toEqual({ error: { field: 'body', message: 'the body is not valid JSON' } });
    expect((await raw(JSON.stringify(attempt()), 'text/csv')).status).toBe(415);
    const huge = await raw(JSON.stringify({ ...attempt(), note: 'x'.repeat(10_000_000) }));
    expect(huge.status).toBe(413);
    expect(await huge.json()).toMatchObject({ error: { field: 'body' } });
    expect((await stored()).attempts).toHaveLength(0);
  });
});

describe('a round', () => {
  it('opened twice is one round', async () => {
    await put(randomUUID(), attempt());
    const again = await send(test.app, 'PUT', `/api/rounds/${round}`, {
      cookie: club.coach,
      body: roundBody(),
    });
    const { round: kept } = await openRoundSchema.validate(await again.json());
    expect(kept.attempts).toHaveLength(1);
  });

  it.each([
    ['another kind of table', () => ({ tableId: club.snookerTable }), 400, 'tableId'],
    ['a stage that is not there', () => ({ stage: 3 }), 400, 'stage'],
    ['an unknown drill', () => ({ drill: 'no-such-drill' }), 404, 'drill'],
    ['an unknown player', () => ({ playerId: randomUUID() }), 404, null],
  ])('with %s is refused', async (_, change, status, field) => {
    const response = await send(test.app, 'PUT', `/api/rounds/${randomUUID()}`, {
      cookie: club.coach,
      body: roundBody(change()),
    });
    expect(response.status).toBe(status);
    expect(await response.json()).toMatchObject({ error: { field } });
  });

  it('that has ended takes no more shots, and is opened again by taking one back', async () => {
    const id = randomUUID();
    await put(id, attempt());
    const end = { endedAt: '2026-11-24T12:10:00Z', early: true };
    await send(test.app, 'POST', `/api/rounds/${round}/end`, { cookie: club.coach, body: end });
    expect((await put(randomUUID(), attempt({ ordinal: 2 }))).status).toBe(409);
    expect(await stored()).toMatchObject({ endedAt: '2026-11-24T12:10:00.000Z', early: true });
    await send(test.app, 'DELETE', `/api/rounds/${round}/attempts/${id}`, { cookie: club.coach });
    expect(await stored()).toMatchObject({ endedAt: null, attempts: [] });
    expect((await put(randomUUID(), attempt())).status).toBe(201);
  });

  it('stands in its player’s progress once it has ended', async () => {
    const read = async () => {
      const response = await send(test.app, 'GET', `/api/players/${club.playerId}/rounds`, {
        cookie: club.player,
      });
      return (await roundsSchema.validate(await response.json())).filter((each) => each.id === round);
    };
    await put(randomUUID(), attempt());
    expect(await read()).toHaveLength(0);
    const end = { endedAt: '2026-11-24T12:10:00Z', early: true };
    await send(test.app, 'POST', `/api/rounds/${round}/end`, { cookie: club.coach, body: end });
    expect(await read()).toMatchObject([{ attempts: [{ landing: LANDING }] }]);
  });
});
