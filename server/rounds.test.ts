import { randomUUID } from 'node:crypto';
import type { RowDataPacket } from 'mysql2/promise';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { BLANK_SHOT, type LoggedShot } from '../core/records/loggedShot.ts';
import { logOf, type AttemptLog } from '../core/records/attempt.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { roundsSchema } from '../core/records/round.ts';
import { storedSchema } from '../core/records/storedAttempt.ts';
import { reviewLanding } from '../core/scoring/landing.ts';
import { buildTable } from '../core/table/table.ts';
import { chanceAt } from '../core/planning/grid.ts';
import { parseJson } from './db/json.ts';
import { findDrill, LIBRARY } from './db/queries/drills.ts';
import { planFor } from './drills/plans.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newRound } from './testing/newRound.ts';

let test: TestApp;
let club: TestClub;
let round: string;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
});
afterAll(() => test.close());

function roundBody(change: Record<string, unknown> = {}) {
  const place = { playerId: club.playerId, tableId: club.poolTable };
  return { ...newRound(place, { stage: 2, seed: 7 }), ...change };
}

const takeBack = (id: string) =>
  send(test.app, 'DELETE', `/api/rounds/${round}/attempts/${id}`, { cookie: club.coach });

beforeEach(async () => {
  round = randomUUID();
  const made = await send(test.app, 'PUT', `/api/rounds/${round}`, { cookie: club.coach, body: roundBody() });
  expect(made.status).toBe(200);
});

const LANDING = { x: 1.4, y: 0.52 };

/** How a shot is logged. */
function shot(about: Partial<LoggedShot> = {}): AttemptLog {
  return logOf({ shots: [{ ...BLANK_SHOT, ball: '1', potted: ['1'], landing: LANDING, ...about }] });
}
const missed = () => shot({ potted: [], landing: null });

function attempt(change: Record<string, unknown> = {}) {
  return { ordinal: 1, log: shot(), playedAt: '2026-11-24T12:01:00Z', ...change };
}

function put(id: string, body: unknown, cookie = club.coach) {
  return send(test.app, 'PUT', `/api/rounds/${round}/attempts/${id}`, { cookie, body });
}

async function open() {
  const response = await send(test.app, 'GET', `/api/rounds/${round}`, { cookie: club.coach });
  return openRoundSchema.validate(await response.json());
}

async function stored() {
  return (await open()).round;
}

function end() {
  const body = { endedAt: '2026-11-24T12:20:00Z', early: true };
  return send(test.app, 'POST', `/api/rounds/${round}/end`, { cookie: club.coach, body });
}

describe('an attempt', () => {
  it('is counted by the server from where the cue ball stopped', async () => {
    const response = await put(randomUUID(), attempt());
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

  it('of a shot that is already scored waits beside it until the coach settles which one stands', async () => {
    const [first, second] = [randomUUID(), randomUUID()];
    await put(first, attempt());
    const reply = await put(second, attempt({ log: missed() }));
    expect(await storedSchema.validate(await reply.json())).toMatchObject({ conflict: true });
    // However often it is sent, it waits once.
    await put(second, attempt({ log: missed() }));
    const told = await open();
    expect(told.round.attempts).toMatchObject([{ id: first, outcome: 'potted' }]);
    expect(told.conflicts).toMatchObject([
      { attempt: { id: second, outcome: 'missed' }, by: 'coach of gannet' },
    ]);

    const settle = (cookie: string) =>
      send(test.app, 'POST', `/api/rounds/${round}/attempts/${second}/settle`, {
        cookie,
        body: { keep: 'other' },
      });
    expect((await settle(club.player)).status).toBe(403);
    expect((await settle(club.coach)).status).toBe(200);
    const settled = await open();
    expect(settled.round.attempts).toMatchObject([{ id: second, outcome: 'missed' }]);
    expect(settled.conflicts).toEqual([]);
    expect((await settle(club.coach)).status).toBe(409);
  });

  it('told the same by two devices is one, and no conflict', async () => {
    await put(randomUUID(), attempt());
    const reply = await put(randomUUID(), attempt());
    expect(await storedSchema.validate(await reply.json())).toMatchObject({ conflict: false });
    expect(await open()).toMatchObject({ conflicts: [], round: { attempts: [{ ordinal: 1 }] } });
  });

  it('is told otherwise with a reason; what it was is kept, and an ended round is counted anew', async () => {
    const id = randomUUID();
    await put(id, attempt());
    const before = (await stored()).result.value;
    expect(before).toBeGreaterThan(0);
    await end();
    const change = (body: unknown) =>
      send(test.app, 'POST', `/api/rounds/${round}/attempts/${id}/changes`, { cookie: club.coach, body });
    const told = { log: missed(), reason: 'it rattled out', changedAt: '2026-11-24T13:00:00Z' };
    expect((await change({ ...told, reason: ' ' })).status).toBe(400);
    for (let i = 0; i < 2; i++) expect((await change(told)).status).toBe(200);
    const after = await stored();
    expect(after.attempts).toMatchObject([
      { id, outcome: 'missed', points: 0, changed: { reason: 'it rattled out', by: 'coach of gannet' } },
    ]);
    expect(after.result.value).toBe(0);
    const [rows] = await test.pool.execute<RowDataPacket[]>(
      'SELECT log_before FROM attempt_changes WHERE attempt_id = ?',
      [id],
    );
    expect(rows).toHaveLength(1);
    expect(parseJson(rows[0]?.['log_before'])).toEqual(shot());
  });

  it('takes notes that leave its score alone, and refuses those that would change it', async () => {
    const id = randomUUID();
    await put(id, attempt());
    const note = (log: AttemptLog) =>
      send(test.app, 'PUT', `/api/rounds/${round}/attempts/${id}/notes`, {
        cookie: club.coach,
        body: { log },
      });
    expect((await note(shot({ cause: 'too hard', causeBy: 'hint', luck: true }))).status).toBe(200);
    expect((await stored()).attempts[0]?.log.shots[0]).toMatchObject({ cause: 'too hard', luck: true });
    expect((await note(missed())).status).toBe(409);
    expect((await stored()).attempts[0]).toMatchObject({ outcome: 'potted', changed: null });
  });

  it('taken back stays so when what was sent before comes once more; entered anew it is there again', async () => {
    const id = randomUUID();
    await put(id, attempt());
    await takeBack(id);
    await takeBack(id);
    expect((await stored()).attempts).toHaveLength(0);
    expect((await put(id, attempt())).status).toBe(200);
    expect((await stored()).attempts).toHaveLength(0);
    const again = randomUUID();
    expect((await put(again, attempt())).status).toBe(201);
    expect((await stored()).attempts).toMatchObject([{ id: again }]);
  });

  it('that was never stored can be taken back, for a device whose entry another one had told before it', async () => {
    await put(randomUUID(), attempt());
    expect((await takeBack(randomUUID())).status).toBe(200);
    expect((await stored()).attempts).toHaveLength(1);
  });

  it('taken back makes room for another one of the same shot', async () => {
    const [first, second] = [randomUUID(), randomUUID()];
    await put(first, attempt());
    await takeBack(first);
    expect(
      (await put(second, attempt({ log: shot({ potted: [], landing: null, inOff: true }) }))).status,
    ).toBe(201);
    await put(first, attempt());
    expect((await stored()).attempts).toMatchObject([{ id: second, outcome: 'in-off', points: 0 }]);
  });

  it.each([
    ['a ball off the table', { log: shot({ landing: { x: 9, y: 0.5 } }) }, 'log.shots[0].landing.x'],
    ['a ball behind the cushion', { log: shot({ landing: { x: 1, y: -0.2 } }) }, 'log.shots[0].landing.y'],
    ['a pot without a landing', { log: shot({ landing: null }) }, 'log.landing'],
    ['two shots for one', { log: logOf({ shots: [...shot().shots, ...shot().shots] }) }, 'log.shots'],
    ['no shot at all', { log: logOf({}) }, 'log.shots'],
    [
      'an unknown cause',
      { log: { ...shot(), shots: [{ ...BLANK_SHOT, cause: 'wind' }] } },
      'log.shots[0].cause',
    ],
    ['a score of its own', { points: 3 }, 'points'],
    ['the eleventh shot of ten', { ordinal: 11 }, 'ordinal'],
    ['a shot number that is a text', { ordinal: '1' }, 'ordinal'],
    ['a time that is none', { playedAt: 'yesterday' }, 'playedAt'],
    ['a field that is not known', { cheat: true }, 'cheat'],
    [
      'a landing that is not a number',
      { log: { ...shot(), shots: [{ ...BLANK_SHOT, landing: { x: 'left', y: 0.5 } }] } },
      'log.shots[0].landing.x',
    ],
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
    const late = await put(randomUUID(), attempt({ ordinal: 2 }));
    expect(await storedSchema.validate(await late.json())).toMatchObject({ conflict: true });
    expect(await stored()).toMatchObject({
      endedAt: '2026-11-24T12:10:00.000Z',
      early: true,
      attempts: [{ ordinal: 1 }],
    });
    await send(test.app, 'DELETE', `/api/rounds/${round}/attempts/${id}`, { cookie: club.coach });
    expect(await stored()).toMatchObject({ endedAt: null, attempts: [] });
    expect((await put(randomUUID(), attempt())).status).toBe(201);
  });

  it('that was ended early is opened again with all its shots', async () => {
    const id = randomUUID();
    await put(id, attempt());
    const ask = (path: string, body: unknown) =>
      send(test.app, 'POST', `/api/rounds/${round}/${path}`, { cookie: club.coach, body });
    const end = (endedAt: string) => ask('end', { endedAt, early: true });
    await end('2026-11-24T12:10:00Z');
    expect((await ask('reopen', {})).status).toBe(200);
    expect(await stored()).toMatchObject({ endedAt: null, early: null, attempts: [{ id }] });
    expect((await put(randomUUID(), attempt({ ordinal: 2 }))).status).toBe(201);
    // Both told once more, late, change nothing.
    for (const again of [() => ask('reopen', {}), () => end('2026-11-24T12:10:00Z')]) {
      expect((await again()).status).toBe(200);
      expect(await stored()).toMatchObject({ endedAt: null, attempts: [{ id }, { ordinal: 2 }] });
    }
    await end('2026-11-24T12:14:00Z');
    expect(await stored()).toMatchObject({ endedAt: '2026-11-24T12:14:00.000Z', early: true });
  });

  it('keeps a result of the shots that stand, whichever of a shot and the end comes first', async () => {
    for (let race = 0; race < 12; race++) {
      const id = randomUUID();
      await send(test.app, 'PUT', `/api/rounds/${id}`, { cookie: club.coach, body: roundBody() });
      const end = { endedAt: '2026-11-24T12:10:00Z', early: true };
      const url = `/api/rounds/${id}`;
      await Promise.all([
        send(test.app, 'PUT', `${url}/attempts/${randomUUID()}`, { cookie: club.coach, body: attempt() }),
        send(test.app, 'POST', `${url}/end`, { cookie: club.coach, body: end }),
      ]);
      const reply = await send(test.app, 'GET', url, { cookie: club.coach });
      const { round: kept } = await openRoundSchema.validate(await reply.json());
      expect(kept.endedAt).not.toBeNull();
      expect(kept.result.value).toBe(kept.attempts.reduce((sum, { points }) => sum + points, 0));
    }
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

  it('keeps an attempt that is not over for another device; an older one that comes late changes nothing', async () => {
    const keep = (log: AttemptLog | null, at: string) =>
      send(test.app, 'PUT', `/api/rounds/${round}/under-way`, { cookie: club.coach, body: { log, at } });
    await keep(shot(), '2026-11-24T12:05:00Z');
    await keep(missed(), '2026-11-24T12:04:00Z');
    expect((await open()).underWay).toEqual(shot());
    await end();
    expect((await open()).underWay).toBeNull();
  });

  it('keeps what was proposed after it and whether it was taken', async () => {
    const advice = { proposal: 'one stage up', stage: 2, accepted: true, at: '2026-11-24T12:30:00Z' };
    const reply = await send(test.app, 'PUT', `/api/rounds/${round}/advice`, {
      cookie: club.coach,
      body: advice,
    });
    expect(reply.status).toBe(200);
    expect((await stored()).advice).toEqual(advice);
  });
});
